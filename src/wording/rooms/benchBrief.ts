export const whatWasWritten = 'What was written';
export const whatDiffersForThis = 'What differs for this student';
export const theSavedFingering = 'The saved fingering';

export const theBoxForNotes = 'The box for notes';
export const theBrief = 'The brief';
export const forIt = 'for';
export const on = 'on';
export const inIt = ', in';
export const positions = 'Positions';
export const student = 'Student';
export const newStudent = 'new student …';
export const aStudent = 'a student';
export const octaves = 'Octaves';
export const key = 'Key';
export const chord = 'Chord';
export const scale = 'Scale';
export const kind = 'Kind';
export const scaleAsNotesTo = 'scale as notes to change';
export const notesOfMyOwn = 'notes of my own';
export const from = 'from';
export const start = 'Start';
export const direction = 'Direction';
export const notesOfMyOwnLabel = 'Notes of my own';
export const inWord = 'in';
export const mode = 'Mode';
export const size = 'Size';
export const instrument = 'Instrument';

export const savedBriefs = 'Saved briefs';
export const newPlanFromThe = 'New plan from the brief';
export const deleteTheBrief = (name: string) => `Delete the brief ${name}`;
export const noBriefIsSaved = 'No brief is saved yet.';
export const nameForThisBrief = 'Name for this brief';
export const saveThisBrief = 'Save this brief';
export const briefsTheBrief = (name: string) => `The brief “${name}”`;
export const wasDeleted = (words: string) => `${words} was deleted.`;

export const firstPosition = 'first position';
export const theFirstShifts = 'the first shifts';
export const allOverTheFingerboard = 'all over the fingerboard';
export const howToBegin = 'How to begin';
export const dovePathWorksOut =
  'Dove Path works out which finger plays which note, for one student’s hand on one instrument, and says why. What you make stays in this browser.';
export const planAScale = 'Plan a scale';
export const lookAtTheExample = 'Look at the example studio';
export const aFirstScale = 'A first scale';
export const n1WhoPlaysAnd = '1. Who plays, and on what?';
export const nameMayStayEmpty = 'Name (may stay empty)';
export const n2TheLeftHand = '2. The left hand, for this size?';
export const hand = 'Hand';
export const notMeasuredReachUnknown = 'not measured: reach unknown';
export const smallMediumAndLarge =
  'Small, medium and large are meant for players of this size of instrument. Measure the hand in the Studio when you can.';
export const n3HowFarHave = '3. How far have they come?';
export const asFarAs = 'As far as';
export const notNow = 'Not now';
export const planIt = 'Plan it';

export const giveThisPlanTo = 'Give this plan to';
export const giveTo = 'Give to …';
export const noNameYet = 'no name yet';

export const another = 'another';
export const copiedFromPlanWhats = (another: string) => `Copied from ${another} plan: what’s different`;
export const close = 'Close';

export const addAWish = 'Add a wish';
export const addAWishLabel = 'add a wish';
export const removeThisChoice = (words: string) => `Remove this choice: ${words}`;

export const typedBriefsCouldNot = 'Typed briefs could not be fetched. Reload the page and try again.';
export const typeTheBrief = 'Type the brief';
export const orTypeItG = 'or type it: G minor arpeggio, cello, no open strings';
export const enterPlansThis = 'Enter plans this.';
export const theseNotes = 'These notes';
export const sayItNotesOfMyOwn = 'Notes of my own';
export const enterPlansThem = 'Enter plans them.';
export const enterOpensABox = 'Enter opens a box to type them into.';

export const thisBriefHasAnother = (name: string) => `This brief has another instrument or hand than ${name} has now.`;
export const takeS = (name: string) => `Take ${name}’s`;

export const yourTasteDecidedHere = (named: string) => `Your taste decided here: ${named}.`;
export const aRuleOfThe = (named: string) => ` A rule of the brief wins over your taste: ${named}.`;
export const planWithoutIt = 'Plan without it';
