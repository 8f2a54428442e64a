export const afterThis = (deck: string, counted: string) => `${deck} · ${counted} after this`;
export const stop = 'Stop';
export const hearBothAgain = 'Hear both again';
export const right = 'Right.';
export const noNot = (answer: string) => `No, not ${answer}.`;
export const next = 'Next';
export const done = 'Done';
export const whereItLies = 'Where it lies';
export const theFingersAsThey = 'The fingers as they lie, string by string';
export const theNeck = 'The neck';
export const typeANoteSuch = 'Type a note, such as F#, E♭ or C.';
export const isNotANote = (unread: string) => `“${unread}” is not a note. Write it like F#, Eb or C.`;
export const oneNoteIsAsked = 'One note is asked.';
export const theNamesOneAfter = 'The names, one after the other';
export const theNote = 'The note';
export const answer = 'Answer';

export const cards = 'Cards';
export const theCard = 'The card';
export const allRight = 'all right';
export const wrong = (wrong: number) => `${wrong} wrong`;
export const stillToAnswer = (counted: string) => `${counted} still to answer.`;
export const goOn = 'Go on';
export const begin = 'Begin';
export const theDecks = 'The decks';
export const theBoxIsEmpty = 'The box is empty. Make a deck below.';
export const inTheBoxNone = (counted: string) => `${counted} in the box; none is due today.`;
export const ofToAnswer = (counted: string, all: number) => `${counted} of ${all} to answer`;

export const thereIsNothingTo = 'There is nothing to ask: this plan has none of these.';
export const makeADeck = 'Make a deck';
export const position = 'Position';
export const key = 'Key';
export const makeCards = 'Make cards';
export const plan = 'Plan';
export const about = 'About';
export const makeCardsOfIt = 'Make cards of it';
export const inTheBox = 'In the box';
export const remove = (name: string) => `Remove ${name}`;
export const takeOut = 'Take out';
export const nothingYet = 'Nothing yet.';
export const theDeckWasRemoved = (name: string) => `The deck “${name}” was removed.`;

export const answersAhead = (counted: string) =>
  `${counted} dated in the future, from a clock that was wrong: kept, and not counted before that day.`;
export const itWasEasy = 'It was easy';
export const iGuessed = 'I guessed';
export const minutesOfCards = (minutes: number) => `${minutes} minutes of cards`;
