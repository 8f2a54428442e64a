export const cancel = 'Cancel';
export const isBeingRead = (name: string) => `${name} is being read …`;
export const chooseAFile = 'Choose a file …';
export const musicxmlMusicxmlXmlMxl =
  'MusicXML (.musicxml, .xml, .mxl), MIDI (.mid), notes typed as text, or a plan that was sent to you. It can also be dropped on this page. Nothing leaves this computer.';
export const fileOfNotes = 'File of notes';
export const part = 'Part';
export const noBowedString = ' (no bowed string)';
export const fromBar = 'From bar';
export const toBar = 'To bar';
export const voice = 'Voice';
export const forIt = 'For';
export const nobodyInParticular = 'nobody in particular';
export const noNameYet = 'no name yet';
export const theFirstBarsAre = 'The first bars are being drawn …';
export const bringItIn = 'Bring it in';
export const withAWrittenFinger = (counted: string) =>
  `; ${counted} with a written finger or string. At first they are shown as written, beside ours.`;
export const noFingersAreWritten = '; no fingers are written.';
export const notesFor = (counted: string, instrument: string, written: string) =>
  `${counted} for ${instrument}${written}`;
export const whatWasLeftOut = 'What was left out';
export const ofBarsTo = (value: string, value2: string) => `of bars ${value} to ${value2}`;
export const student = 'Student';
export const whatComesNext = 'What comes next';
export const lessonPage = 'Lesson page';
export const nobodyIsInThe = 'Nobody is in the Studio yet.';
export const addAStudentThere = 'Add a student there';
export const orBringInThe = ', or bring in the practice file that your teacher gave you.';
