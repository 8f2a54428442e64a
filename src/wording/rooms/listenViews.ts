export const isInTheLog = 'This take is in the log, marked as heard. Its sound is not kept.';
export const takeItOut = 'Take it out';
export const microphone = 'Microphone';
export const usualMicrophone = 'the usual one';
export const listenHeading = 'Takes';
export const listenToMe = 'Listen to me';
export const listening = 'Listening …';
export const stop = 'Stop';
export const lookingAtIt = 'The take is being looked at …';
export const heardAt = (time: string) => `Heard at ${time}`;
export const couldNotBeHeard = 'The take could not be looked at. Try it once more; if it fails again, reload the page.';
export const playFromTheFirst =
  'Play from the first note, at your own pace. It ends by itself when the last note has died away. Stops, repeats and beginning again are all right.';
export const soundStays = 'What is heard stays in the memory of this machine and goes when you leave the page.';
export const openATake = 'Open a take …';
export const orDropOne = 'or drop a WAV file here';
export const dropHere = 'Drop the take to have it heard';

export const noMicrophoneAtHand = 'No microphone at hand?';
export const letThePlayerPlay = 'Let the simulated player play';
export const withoutSound = 'At once, without sound';
export const howItPlays = 'How it plays';
export const playsTrue = 'Plays true';
export const handTowardsBridge = (mm: string, position: string) => `Hand ${mm} towards the bridge in ${position}`;
export const fingerTowardsNut = (finger: string, mm: string) => `${finger}, ${mm} towards the nut`;
export const stringFlat = (string: string) => `${string} string 12 cents flat`;
export const landsShort = (where: string) => `Lands short at ${where} and slides`;
export const startsAgain = 'Stops, and starts again';
export const withVibrato = 'True, with vibrato';

export const whatWasHeard = 'What was heard';
export const nothingStandsOut =
  'Nothing stands out: what is off is off by chance, now one way, now the other, and no cause explains it better.';
export const notesIn = (inTune: number, all: number) => `${inTune} of ${all} notes in tune`;
export const missedNotes = (count: number) => `${count} not heard`;
export const wrongNotes = (count: number) => `${count} other than written`;
export const startedAgainTimes = (count: number) => (count === 1 ? 'began again once' : `began again ${count} times`);
export const playersA = (hertz: string) => `A at ${hertz} Hz`;

export const theHand = 'Where the fingers stood';
export const handLegend =
  'A ring is where the finger should stand, the dot where it stood, true to scale. A bar is how far it strayed over several tries.';
export const toTheNut = 'nut';
export const allTakes = 'All takes laid over each other';
export const thisTake = 'This take';

export const noteByNote = 'Note by note';
export const columns = ['Note', 'Finger', 'Heard', 'Off', 'On the string', ''] as const;
export const hearNote = (note: string) => `Hear ${note} as it was played`;
export const verdicts = {
  in: 'in tune',
  low: 'low',
  high: 'high',
  wrong: 'another note',
  missed: 'not heard',
} as const;
export const pass = (number: number) => `Time through ${number}`;

export const yourTakes = 'Your takes';
export const saveAsWav = (size: string) => `Save as WAV (${size})`;
export const forgetIt = 'Forget it';
export const playIt = 'Play it';
export const megabytes = (mb: string) => `${mb} MB`;

export const levelMeter = 'Level of the microphone';
export const needle = 'How far the note is off';
export const flat = 'low';
export const sharp = 'high';
export const nothingHeardYet =
  'Nothing is heard yet. Play a little nearer, or check the microphone in the settings of your system.';
export const offFromTarget = (cents: string) => `${cents} cents`;
export const millimetres = (mm: string) => `${mm} mm`;
export const practiseIt = 'Practise these notes';
export const whichA = 'A';
export const aAsHeard = 'as it is heard';
export const hertz = (a: number) => `${a} Hz`;
export const tuneTheStrings = 'Tune the strings';
export const tunerDone = 'Done';
const STRINGS_APART: ReadonlyMap<number, string> = new Map([
  [5, 'fourths'],
  [7, 'fifths'],
]);
/** @param apart semitones from each string to the next */
export const playAnOpenString = (apart: readonly number[]) => {
  const interval = apart.every((one) => one === apart[0]) ? STRINGS_APART.get(apart[0]) : undefined;
  return `Play one open string at a time. They are tuned in pure ${interval ?? 'intervals'} from A.`;
};
export const stringInTune = 'in tune';
export const stringName = (name: string) => `${name} string`;
