export const ways = 'Ways';
export const oneWay = 'One way';
export const theEasiestForThis = 'the easiest for this hand and brief';
export const compareWayWithThe = (value: number) => `Compare way ${value} with the one chosen`;
export const close = 'close';
export const compare = 'compare';
export const noOtherWayIs = 'No other way is worth showing: each would be harder and better in nothing.';
export const allWays = (count: number) => `all ${count} ways`;
export const putIntoTheBrief = (planName: string) => `put “${planName}” into the brief`;
export const first = (count: string, plan: string) => `${count}; first: ${plan}.`;
export const theSavedFingering = 'the saved fingering';
export const difficultyOf100 = (round: number) => `difficulty ${round} of 100`;
export const difficultyBesideTheHardest = 'Difficulty beside the hardest way shown';

export const bar = (bar: number) => `Bar ${bar}`;
export const written = 'written';
export const ours = '· ours';

export const saving = 'Saving …';
export const howToBegin = 'How to begin';
export const theListOfCommands = 'The list of commands';
export const whatStandsInThe = 'What stands in the way';
export const notSavedYet = 'Not saved yet';
export const notSaved = 'Not saved';
export const deletedOnAnotherPage = 'Deleted on another page';
export const benchDovePath = (title: string) => `${title} · Bench · Dove Path`;
export const nameOfThisPlan = 'Name of this plan';
export const commands = 'Commands …';
export const bench = 'Bench';
export const theBrief = 'The brief';
export const thePictureOfThe = 'The picture of the plan';
export const theListOfWays = 'The list of ways';
export const theFindings = 'The findings';
export const theListOfPlans = 'The list of plans';
export const theListOfBriefs = 'The list of briefs';

export const school = (name: string) => `school ${name}`;
export const withIt = (words: string) => `with ${words}`;
export const anotherSchool = 'Another school';
export const student = (id: string) => `student ${id}`;
export const noNameYet = 'no name yet';
export const forIt = (yet: string) => `for ${yet}`;
export const anotherStudent = 'Another student';
export const plan = (id: string) => `plan ${id}`;
export const anotherPlan = 'Another plan';
export const compareThisPlanWith = 'Compare this plan with';
export const compareWith = 'Compare with …';

export const closeTheComparison = 'Close the comparison';

export const madeFor = 'Made for';
export const drillForNotSavedYet = '. Not saved yet.';
export const keepItWithThis = 'Keep it with this plan';

export const takeItApart = 'take it apart';
export const seeTheHand = 'see the hand';
export const hearIt = 'hear it';
export const theDrillCouldNot = 'The drill could not be made: the planner stopped. Try again; your plan is safe.';
export const findings = 'Findings';
export const nothingHereNeedsSpecial = 'Nothing here needs special attention.';
export const drillIt = 'drill it';
export const practiseIt = 'practise it';
export const onlyTheWeightiest = 'only the weightiest';
export const theFirstOf = (most: number, count: number) => `the first ${most} of ${count}`;
export const all = (count: number) => `all ${count}`;

export const savedPlans = 'Saved plans';
export const deleteIt = (words: string) => `Delete ${words}`;
export const nothingIsSavedYet = 'Nothing is saved yet.';
export const newPlan = 'New plan';
export const aStudentWithoutA = 'a student without a name';
export const planShelfForIt = (name: string) => `for ${name}`;
export const forNobodyInParticular = 'for nobody in particular';
export const newPlanMenu = 'New plan …';

export const thePlannerStoppedBefore = 'The planner stopped before it had an answer.';
export const thePlannerHasNot = 'The planner has not answered for a minute and was stopped.';
export const thePlannerFailedOn = 'The planner failed on this brief; that is its own fault.';
export const thePlanner = 'The planner';
export const yourBriefIsSafe = (why: string) =>
  `${why} Your brief is safe; what is shown below is the last answer. Try again, or undo the last change.`;
export const tryAgain = 'Try again';

export const notesWithFingersMusicxml = 'Notes with fingers (MusicXML)';
export const theSamePackedMxl = 'The same, packed (.mxl)';
export const soundOfTheNotes = 'Sound of the notes (MIDI)';
export const tableOfNotesAnd = 'Table of notes and fingers (CSV)';
export const pictureOfTheStaff = 'Picture of the staff';
export const pictureOfStaffAnd = 'Picture of staff and hand trail';
export const pictureOfTheNeck = 'Picture of the neck';
export const toTheClipboard = 'to the clipboard';
export const saveThisPlanAs = 'Save this plan as';
export const saveAs = 'Save as …';
export const sheetToPrintOr = 'Sheet, to print or as PDF …';
export const notes = (format: string) => `notes ${format}`;
export const picture = (name: string, kind: string) => `picture ${name} ${kind}`;
export const fileToSendWithout = 'File to send, without the student';
export const sendStudent = 'send student';
export const fileToSendWith = 'File to send, with the student';

export const compareTheTwo = 'Compare the two';
export const useTheNewFingering = 'Use the new fingering';
export const keepThisOne = 'Keep this one';
export const theSavedFingeringIs = 'The saved fingering is shown';
export const theSavedFingeringCannot = 'The saved fingering cannot be played here any more';
export const thisPlanComesFrom = 'This plan comes from an old backup';
export const thisPlanWasSaved =
  'This plan was saved when the planner chose another fingering. Yours stays as it was learned. What would be new:';
export const theBriefNoLonger =
  'The brief no longer allows it. The best fingering is shown; the saved one is not lost until you keep another.';
export const itHoldsOnlyThe =
  'It holds only the number of its fingering, and nobody can tell which one that was. The best fingering is shown: check that it is the one that was learned.';

export const thisPlanIsToo = 'This plan is too long for a link. Save it as a file instead: “Save as …”.';
export const theLinkWasCopied =
  'The link was copied. It holds the brief: the music, instrument, size and hand, wishes, and what you put at single notes. It does not hold the student, the name of the plan or any practice.';
export const copyTheAddressOf = 'Copy the address of this page instead.';
export const copyALink = 'Copy a link';

export const thisPlanThisPlan = 'This plan';
export const tags = 'Tags';
export const withCommasBetween = 'with commas between';

export const stillReadingPlan = 'Your plan is still being read. It opens here by itself.';
export const planMeanwhile = 'Plan something else meanwhile';

export const whatIsNew = 'What is new';
export const whatIsNewFor = (name: string) => `What is new in it for ${name || 'this student'}`;
export const newFor = (name: string, skills: string) => `New for ${name || 'this student'}: ${skills}.`;
export const nothingNewFor = (name: string) => `Nothing is new in it for ${name || 'this student'}.`;
export const atWorkAre = (skills: string) => `At work: ${skills}.`;
export const thePathToIt = 'The path to it';
export const lookingWhatIsNew = 'Looking what is new …';
export const couldNotTellWhatIsNew = 'What is new could not be worked out. Reload the page to try again.';
