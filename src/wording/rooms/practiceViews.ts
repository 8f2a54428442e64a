export const done = 'Done';
export const inLowHighMissed = (
  what: string,
  counted: string,
  clean: number,
  low: number,
  high: number,
  missed: number,
  counted2: string,
) =>
  `${what}: ${counted}, ${clean} in, ${low} low, ${high} high, ${missed} missed, in ${counted2}. Let the arms hang, and rest a moment.`;
export const yourWordsCouldNot =
  'Your words could not be saved. The repetitions are in the log: open the entry there and write them in.';
export const saveToTheLog = 'Save to the log';
export const howWasItIn = 'How was it, in a few words';
export const aQuestionForThe = 'A question for the teacher';
export const nextTime = 'Next time';

export const practice = 'Practice';
export const whatTheLogSays = 'What the log says';
export const aSessionWasLeft = 'A session was left in the middle';
export const soFar = (what: string, day: string, counted: string) => `${what}, ${day}: ${counted} so far.`;
export const goOn = 'Go on';
export const endItHere = 'End it here';
export const thisWeek = 'This week';
export const min = (minutes: number) => `${minutes} min`;
export const nothingIsAssignedYet =
  'Nothing is assigned yet. The lesson page suggests a week, or open a plan below and practise it.';
export const practise = (planTitle: string) => `Practise ${planTitle}`;
export const practiseLabel = 'Practise';
export const noCardsYet = 'No cards yet.';
export const noCardIsDue = 'No card is due.';
export const toAnswer = (counted: string) => `${counted} to answer.`;
export const toTheCards = 'To the cards';

export const asks = (question: string) => `asks: ${question}`;
export const log = 'Log';
export const theLogIsShown = 'The log is shown';
export const by = (one: string) => `by ${one}`;
export const aNewEntry = 'A new entry';
export const addAnEntry = 'Add an entry';
export const csv = 'CSV';
export const datedInTheFuture = (counted: string) =>
  `${counted} dated in the future: kept, and not counted before that day. Put the date right if the clock was wrong.`;
export const nothingWasPractisedIn = 'Nothing was practised in the last six weeks.';
export const logMin = (round: number) => `${round} min`;
export const practiseAgain = (what: string) => `Practise ${what} again`;
export const again = 'Again';
export const deleteIt = (what: string, day: string) => `Delete ${what}, ${day}`;
export const allIn = ', all in';
export const what = 'What';
export const day = 'Day';
export const aDaySuchAs = 'A day such as 2026-11-26.';
export const minutes = 'Minutes';
export const goal = 'Goal';
export const thePlayersWords = 'The player’s words';
export const theTeachersWords = 'The teacher’s words';

export const passageNotes = (count: number) => `Passage: ${count} notes`;
export const note = (value: number) => `Note ${value}`;
export const of = (value: number, count: number) => `${value} of ${count}`;

export const thePlanIsBeing = 'The plan is being worked out …';
export const toTodaysPractice = 'To today’s practice';
export const theSession = 'The session';
export const aSessionOnThis = 'A session on this plan was left in the middle.';
export const today = 'Today';

export const session = 'Session';
export const heardByMicrophone = 'heard by the microphone';
export const judgeByEar = 'the microphone judges';
export const lookingAtIt = 'Listening to it again …';
export const leave = 'Leave';
export const end = 'End';
export const stepOf = (value: number, count: number) => `Step ${value} of ${count}. `;
export const stopHere = 'Stop here';
export const goOnALittle = 'Go on a little';
export const takeBack = 'take back';
export const itWasIn = 'it was in';
export const whichNoteWasArrows = (off: string, bar: string) =>
  `Which note was ${off}? ${bar} – arrows or a tap, then “here”.`;
export const howWasItLow = 'How was it: low, in, high or missed?';
export const placeListen = 'Place. Listen.';
export const play = 'Play.';
export const liftTheFingerThen = 'Lift the finger, then place it again: never slide it into tune.';
export const pressPlayOrSpace = 'Press play, or Space, or the pedal. A bar is counted in.';
export const cleanAStepUp = 'Clean. A step up.';
export const twiceNotCleanA = 'Twice not clean: a step back.';
export const clean = 'Clean.';
export const runningOf = (have: number, counted: string) => `${have} of ${counted}`;
export const ofCleanInA = (have: number, times: number) => `${have} of ${times} clean in a row`;

export const aSession = 'A session';
export const steps = (count: number, stepList: string) => `${count} steps: ${stepList}`;
export const begin = 'Begin';
export const on = (bar: string) => `${bar} on`;
export const from = 'From';
export const to = 'To';
export const whatIsJudged = 'What is judged';
export const theWholePassage = 'the whole passage';
export const howItIsWorked = 'How it is worked at';
export const theStepsOfThe = 'the steps of the rehearsal';
export const beatsAMinute = 'Beats a minute';
export const itGrows = 'It grows';
export const howManyTimes = 'How many times';
export const cleanTimesInA = 'Clean times in a row';
export const beatsEachNote = 'Beats each note';
export const clicksToABeat = 'Clicks to a beat';
export const hearTheTargetFirst = 'Hear the target first';
export const fromBeatsAMinute = 'From, beats a minute';
export const stepsLabel = 'Steps';
export const inEqualSteps = 'in equal steps';
export const byANumberOf = 'by a number of beats';
export const howManySteps = 'How many steps';
export const beatsEachStep = 'Beats each step';
export const remindersAtTheTurning = 'Reminders at the turning point, one at a time';
export const beforeYouBeginIn = (position: string) => `Before you begin, in ${position}`;

export const earlierEntries = 'Show earlier entries';
export const goesOnWithStep = (step: number) => `It goes on with step ${step}.`;
export const dontKnowWhere = 'don’t know where';
export const inSeveralPlaces = 'in several places';
export const wasThatPlayed = 'Was that played? There was hardly time for it.';
export const yes = 'yes, it was';
export const no = 'no';
export const pedals = 'By two pedals';
export const pedalHelp = [
  'Right, short: play, stop, it was in, here, yes. Right, long: it was high; the note after.',
  'Left, short: it was low; the note before; no. Left, long: missed; don’t know where; take the last one back.',
] as const;
export const metronomeAndDrone = 'Metronome and drone';
export const beatsToABar = (beats: number) => (beats === 1 ? 'no bars' : `${beats} beats to a bar`);
export const barOfTheMetronome = 'Bar of the metronome';
export const startTheMetronome = 'Start the metronome';
export const stopTheMetronome = 'Stop the metronome';
export const drone = 'Drone';
export const noDrone = 'no drone';
export const droneOn = (note: string) => `drone on ${note}`;
export const startTheDay = 'Start the day';
export const goOnWithTheDay = 'Go on with the day';
export const theDayIsDone = 'The day is done. Well played.';
export const ticked = 'done';
export const tuneEachString =
  'Tune each string to its drone, A first; then two neighbours together, until nothing beats.';
export const withTheTuner = 'with the tuner';
export const tuned = 'Tuned';
