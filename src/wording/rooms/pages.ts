/*
 * The pages before their views are there, and the pages that are only read.
 */

/** The name of the program. */
export const PRODUCT = 'Dove Path';

interface PageText {
  readonly title: string;
  /** Said until the view is there. */
  readonly waiting: string;
}

const page = (title: string, waiting = `${title} is being set up …`): PageText => ({ title, waiting });

export const PAGES = {
  book: page('Book'),
  cards: page('Cards'),
  class: page('A page for a class'),
  week: page('The week on paper'),
  students: page('Before lessons'),
  ear: page('Ear'),
  hand: page('Hand'),
  bench: page('Bench', 'The Bench is being set up …'),
  keys: page('Keys', 'The keys are being listed …'),
  lesson: page('Lesson'),
  listen: page('Takes'),
  path: page('Path'),
  practice: page('Practice'),
  progress: page('Progress'),
  sheet: page('Sheet', 'The sheet is being set up …'),
  shifts: page('Shifts'),
  studio: page('Studio', 'The Studio is being set up …'),
  gallery: page('Gallery'),
} as const;

export const title = (title: string) => `${title} · ${PRODUCT}`;
export const skip = 'Skip to the view';

export const safe = 'Your plans are safe; they are in this browser.';
export const toTheBench = 'To the Bench';
export const toTheStudio = 'To the Studio';
export const backToTheBench = 'Back to the Bench';

export const notFoundTitle = 'Nothing here';
export const message = 'There is no page at this address.';

export const serverErrorTitle = 'A mistake of ours';
export const serverErrorMessage = 'The server met a mistake of its own. Reload the page, or go on from here.';

export const licencesTitle = 'Licences';
export const before = `${PRODUCT} is built with the work of others. These packages and fonts are part of what your browser loads, each under its own licence. The same list is there as `;
export const textFile = 'one text file';

export const notesPageTitle = 'Typing notes';
export const intro =
  'In the brief, choose “scale as notes to change” or “notes of my own”. What you type is planned as soon as every word of it can be read; a word that cannot is marked at the very character, and nothing you typed is lost. Words are parted by blanks or new lines, as many as you like.';
export const youType = 'You type';
export const itMeans = 'It means';
export const rules = [
  ['A4', 'A note: its letter and its octave. C4 is middle C, and octaves turn at C. Small letters do as well.'],
  ['F#5  Bb3  F##4  Ebb4', 'Signs go after the letter: # sharp, b flat, ## and bb double. ♯ and ♭ are read too.'],
  ['A4 B C D', 'Without an octave a note is the nearest to the one before, a fourth away at most.'],
  [
    'A4:2  B:1/2  C:1.5',
    'A length in beats stands after a colon and stays until the next one. At first it is one beat.',
  ],
  ['A3+E4  D4+F#', 'Notes sounded together, low to high. Without an octave it is the next one above.'],
  ['D4~ E F~ G', 'A wave joins a note to the next under one bow: two bows of two notes here.'],
  ['-', 'A rest, as long as the last length. -:2 rests two beats.'],
  ['|', 'A bar line, with blanks round it.'],
];
export const twoThings = 'Two things to know';
export const letters =
  'A letter means what it says: in E flat major, type Eb and Bb. The key of the brief chooses the signature on the staff and which finger an altered note belongs to.';
export const bass =
  'Double bass is typed as it is written, an octave above its sound. Violin, viola and cello are typed as they sound.';
export const anExample = 'An example';
