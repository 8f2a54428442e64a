export const ear = 'Ear';
export const intonation = 'Intonation';
export const openStrings = 'Open strings';
export const withinCents = (level: string, level2: number) => `${level}: within ${level2} cents`;
export const centsOnEachSemitone = 'Cents on each semitone from the tonic up';
export const targets = 'Targets';
export const stringFinger = 'String, finger';
export const fromTheNut = 'From the nut';
export const bestCheck = 'Best check';
export const itsOwnTuning = 'its own tuning';
export const noneThatFits = 'none that fits';
export const noString = (help: string) => `no string: ${help}`;
export const comma = '· comma';
export const commaWord = 'comma';
export const ringsWord = 'rings';
export const targetCentsAgainstEqual =
  'Target: cents against equal temperament with A at 440 Hz. In brackets: how far from the equal place.';
export const landmarks = 'Landmarks';
export const onThePosition = (note: string, finger: string, value: string, placeName: string, setup: string) =>
  `${note}: ${finger} on the ${value}, ${placeName} position${setup}.`;
export const onTheString = (name: string, printed: string) => `${name} on the ${printed} string`;
export const theOpenStringTuned = (target: string) => `The open string, tuned ${target}.`;
export const theMiddleOfThe = (sentence: string, mmFine: string, mmFine2: string, level: number) =>
  `${sentence}: the middle of the finger ${mmFine} from the nut, within ${mmFine2} (${level} cents).`;
export const theBowMeetsThe = (cents: string, value: string) =>
  `${cents} The bow meets the string about ${value} mm from the bridge.`;
export const checkItWith = 'Check it with';
export const mistunedBy = 'mistuned by';
export const mistunedByLabel = 'Mistuned by';
export const stop = 'Stop';
export const ringsAlong = (strings: string) => `When it is true, open ${strings} rings along.`;
export const answersFaintly = (strings: string) => `Open ${strings} answers faintly.`;
export const hearItPure = 'Hear it pure';
export const centsLow = (off: string) => `${off} cents low`;
export const centsHigh = (off: string) => `${off} cents high`;
export const noSoundTheBrowser = 'No sound: the browser gives this page no way to play. Check its sound settings.';
export const soundingTogether = 'Sounding together';
export const howFarFromIts =
  'How far from its equal width each is when pure, and which finger moves for it: never an open string.';
export const theFingerMoves = (name: string, intervalName: string, join: string, wide: string, moves: string) =>
  `${name}: ${intervalName} ${join}, ${wide}; the ${moves} finger moves.`;
export const asTheTunerHas = 'as the tuner has it';
export const level = 'Level';
export const note = 'Note';
export const target = 'Target';
export const within = 'Within';
export const open = 'open';
export const rings = '· rings';
export const cents = (cents: number) => `${cents} cents`;
