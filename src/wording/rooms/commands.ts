export const nameOneRequestFile = (join: string) =>
  `Name one request file, "-" for standard input, or --lines for one request a line; with a file, --stream for the best plan first, or --as ${join}, --way N, --fingers every|decisive|ours|none, --title TEXT and --out FILE.`;
export const lineIsEmptyAnd = (value: number) => `Line ${value} is empty and was skipped.`;
export const thereIsNoFormat = (format: string, usage: string) => `There is no format "${format}". ${usage}`;
export const aWayIsCounted = 'A way is counted from 0, the best plan. Write it like --way 1.';
export const thereIsNoWay = (way: number, count: number) =>
  `There is no way ${way}: this request has ${count}, counted from 0.`;
export const noFingeringFitsThis = (why: string) =>
  `No fingering fits this request, so there is nothing to write. ${why}`;
export const wayAndOutGo = (usage: string) => `--way, --fingers, --title and --out go with --as. ${usage}`;

export const nameOneFileOf =
  'Name one file of MusicXML, MIDI or typed notes ("-" for standard input); then --instrument NAME, --part N or NAME, --bars 5-12, --voice N, --octave -1, --keep fingerings.';

export const checkNameOneFileOf =
  'Name one file of MusicXML or a request with locks ("-" for standard input); then --instrument NAME, --part N or NAME, --bars 5-12, --voice N, --octave -1.';

export const cannotBeRead = (file: string, usage: string) => `${file} cannot be read. ${usage}`;
export const theDiskIsFull = 'the disk is full';
export const itsFolderIsNot = 'its folder is not there';
export const cannotBeWrittenName = (out: string, why: string) =>
  `${out} cannot be written: ${why}. Name another place.`;
export const itCannotBeWritten = (message: string) => `it cannot be written (${message})`;
export const theAnswerWasCut = (what: string) => `The answer was cut off: ${what}. Make room and run it again.`;
export const nothingIsKnownBy = (arg: string, usage: string) => `Nothing is known by "${arg}". ${usage}`;
export const needsAValueAfter = (arg: string, usage: string) => `"${arg}" needs a value after it. ${usage}`;

export const onlyFingeringsCanBe = 'Only fingerings can be kept: write --keep fingerings.';
export const thereIsNoInstrument = (name: string, join: string) =>
  `There is no instrument "${name}"; choose one of ${join}.`;
export const octavesAreWhole = 'Octaves are whole numbers from -3 to 3; write an octave lower like --octave -1.';
export const fingersAreWritten = (choices: string) => `Fingers are written like --fingers ${choices}.`;
export const barsAreWrittenLike = 'Bars are written like --bars 5-12, or --bars 5 for one.';

export const nameATakeAnd =
  'Name a WAV file and a request file; then --way N, --a4 440, --intonation equal|pythagorean|just, --level first-year|early|middle|advanced.';
export const nameARequestAnd = (voices: string) =>
  `Name a request file and a file of faults, and --out take.wav; then --truth truth.json, --seed 7, --voice ${voices}, --way N.`;
export const skillsNameARequest = 'Name one request file ("-" for standard input); then --way N.';
export const pathNameAQuestion =
  'Name one file that asks: a student, a goal, and what is known ("-" for standard input).';
export const aIsGivenIn = 'A is given in hertz from 400 to 480; write it like --a4 442.';
export const aSeedIsA = 'A seed is a whole number; write it like --seed 7.';
export const thereIsNoVoice = (name: string, voices: string) => `There is no voice "${name}"; choose one of ${voices}.`;
export const thereIsNoSuch = (option: string, name: string, list: string) =>
  `There is no ${option} "${name}"; choose one of ${list}.`;
