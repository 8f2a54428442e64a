export const deleted = (count: number) => `Deleted (${count})`;
export const keptForDays = (binDays: number) => `Kept for ${binDays} days on which the program is opened.`;
export const something = 'Something';
export const it = 'it';
export const bringBack = (it: string) => `Bring back ${it}`;
export const bringBackLabel = 'Bring back';

export const damagedEntries = 'Damaged entries';
export const theseCannotBeRead =
  'These cannot be read, so they cannot be opened. All others are safe. Save one as a file to keep what is in it; a backup has them too.';
export const saveAsFile = 'Save as file';
export const deleteIt = 'Delete';
export const isMissing = (place: string) => `“${place}” is missing.`;
export const cannotBeUsed = (place: string, issue: string) => `“${place}” cannot be used: ${issue}`;

export const removeTheExampleStudio = 'Remove the example studio';
export const emptyTheStudio = 'Empty the studio …';
export const emptyTheStudioAsked = 'Empty the studio?';
export const thisDeletesTheyStay = (listed: string, binDays: number) =>
  `This deletes ${listed}. They stay under “Deleted” for ${binDays} days of use and can be brought back from there. A backup file keeps them for longer.`;
export const leaveItAsIt = 'Leave it as it is';
export const emptyTheStudioLabel = 'Empty the studio';

export const leftHand = 'Left hand';
export const knownBy = 'Known by';
export const notMeasuredReachUnknown = 'not measured: reach unknown';
export const itsMeasures = 'its measures';
export const comfortableSpread1To = 'Comfortable spread, 1 to 4';
export const fullSpread1To = 'Full spread, 1 to 4';
export const widthOfAFingertip = 'Width of a fingertip';
export const aChildsSizeThis = (relaxedMm: number, fullMm: number, fingertipMm: number) =>
  `A child’s size: this hand is taken as ${relaxedMm} mm with ease and ${fullMm} mm at most, a fingertip ${fingertipMm} mm wide. Children’s hands can be smaller still: measure where you can.`;
export const layTheLeftHand =
  'Lay the left hand flat, palm down, along a ruler and let it open without effort: from the middle of the first fingertip to the middle of the fourth is the';
export const comfortable = 'comfortable';
export const spreadOpenItAs = 'spread. Open it as far as it goes';
export const withoutPainOrTrembling = 'without pain or trembling';
export const thatIsThe = ': that is the';
export const full = 'full';
export const oneMeasureOneFingertip = 'one. Measure one fingertip pressed flat, across.';
export const warmHandsOnlyAnd =
  'Warm hands only, and never pull a finger aside. Children’s hands are smaller than their instruments suggest, and grow: measure again each term. Pain, numbness or tingling: stop. Lasting pain belongs with a doctor or physiotherapist.';
export const theComfortableSpreadMm = (relaxed: number, full: number) =>
  `The comfortable spread (${relaxed} mm) cannot be wider than the full one (${full} mm); measure again.`;
export const from1To4 = (words: string, round: number) => `From 1 to 4 on this ${words} (${round} mm)`;
export const mm = (round: number) => `${round} mm`;
export const unknown = 'unknown';

export const aHandOnA = (relaxedMm: number, fullMm: number, fingertipMm: number) =>
  `A hand on a ruler: comfortable ${relaxedMm} mm, full ${fullMm} mm from first to fourth finger, fingertip ${fingertipMm} mm`;
export const handPictureMm = (relaxedMm: number) => `${relaxedMm} mm`;
export const mmFull = (fullMm: number) => `${fullMm} mm full`;

export const thisStudent = 'this student';
export const newPlanFor = (student: string) => `New plan for ${student}`;
export const orderOfThePlans = 'Order of the plans';
export const onlyPlansWithThis = 'Only plans with this tag';
export const nothingHasAllOf =
  'Nothing has all of these words. Search for a name, a key (“E flat”), a kind (“arpeggio”), an instrument or a tag.';
export const noPlanHereYet = 'No plan here yet.';

export const moreFor = (words: string) => `More for ${words}`;
export const more = 'More …';
export const renameAndTag = 'Rename and tag';
export const bringBackFromThe = 'Bring back from the archive';
export const putIntoTheArchive = 'Put into the archive';
export const giveTo = (words: string) => `Give ${words} to`;
export const giveToLabel = 'Give to …';
export const noNameYet = 'no name yet';
export const severalStudents = 'several students …';
export const planRowDeleteIt = (words: string) => `Delete ${words}`;
export const giveToSeveralStudents = (words: string) => `Give ${words} to several students`;
export const changed = (day: string) => `changed ${day}`;
export const opened = (day: string) => `opened ${day}`;
export const name = 'Name';
export const tags = 'Tags';
export const tagsWithCommasBetween = 'tags, with commas between';
export const keep = 'Keep';
export const giveItTo = 'Give it to';
export const notNow = 'Not now';
export const give = 'Give';

export const fixedDoMiSi = 'fixed do (mi♭, si♭, si)';
export const germanEsBH = 'German (Es, B, H)';
export const aNewStudent = 'A new student';
export const practice = 'Practice';
export const lesson = 'Lesson';
export const level = 'Level';
export const positionsTheyKnow = 'Positions they know';
export const callsTheNotes = 'Calls the notes';
export const instrument = 'Instrument';
export const size = 'Size';
export const stringLengthNutTo = 'String length, nut to bridge';
export const fingersAreCalled = 'Fingers are called';
export const byNumber = 'by number: 2';
export const lowAndHigh = 'as beginners hear: low 2, high 2';
export const fingerboardGoesOn = (string: string) => `Highest note on the ${string} string`;
export const aNoteOnTheTopString =
  'Give the highest note of the top string, such as B7: an octave to three octaves above it.';
export const tuningLowToHigh = 'Tuning, low to high';
export const school = 'School';
export const toRemember = 'To remember';
export const threeToSixStrings = 'Three to six strings, low to high, such as “G3 D4 A4 E5”.';
export const clefsTheyRead = 'Clefs they read';

export const studio = 'Studio';
export const searchStudentsAndPlans = 'Search students and plans';
export const nameKeyTag = 'Name, key, tag …';
export const theListOfStudents = 'The list of students';
export const yourTaste = 'Your taste';
export const aPageForA = 'A page for a class';
export const theStudentsSheet = 'The student’s sheet';
export const theListOfPlans = 'The list of plans';
export const foundFor = (search: string) => `Found for “${search}”`;
export const plansFor = (student: string) => `Plans for ${student}`;
export const allPlans = 'All plans';
export const students = 'Students';
export const newStudent = 'New student';
export const everyone = 'Everyone';
export const nobodyHereYetA = 'Nobody here yet. A new student begins with a name and a hand.';

export const newPlans = 'New plans';
export const newPlansFor = (student: string) => `New plans for ${student}`;
export const leanTo = (whose: string, taste: string) => `${whose} lean to ${taste}.`;
export const takeItBack = 'Take it back';
export const shallLeanThatWay = (noticed: string, replace: string) => `${noticed} Shall ${replace} lean that way?`;
export const yesFromNowOn = 'Yes, from now on';

export const lastChanged = 'last changed';
export const lastOpened = 'last opened';
export const lastMade = 'last made';
export const byName = 'by name';

export const anEditThatCouldNot =
  'An edit of a page that was closed could not be written. Save it as a file if you want to keep it.';

export const eachCopyIsPlanned = 'Each copy is being planned …';
export const whatWasGiven = 'What was given';
export const asItIs = 'given as it is.';
export const notGiven = 'not given; try again.';
export const notGivenSince = (why: string) => `not given. ${why}`;
export const giveInstead = (what: string) => `Give it ${what}`;
export const done = 'Done';

export const showMorePlans = (shown: number, all: number) => `Show more: ${shown} of ${all} plans are shown`;
export const beforeLessons = 'Before lessons: all students';
export const lessonOn = 'Lesson on';
export const noLessonDay = 'no day set';
export const lessonTime = 'At';
export const aTimeSuchAs = 'A time such as 16:30.';
