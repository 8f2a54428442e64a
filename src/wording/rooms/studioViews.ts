export const binText = {
  deleted: (count: number) => `Deleted (${count})`,
  keptForDays: (binDays: number) => `Kept for ${binDays} days.`,
  something: 'Something',
  it: 'it',
  bringBack: (it: string) => `Bring back ${it}`,
  bringBackLabel: 'Bring back',
};

export const damagedText = {
  damagedEntries: 'Damaged entries',
  theseCannotBeRead:
    'These cannot be read, so they cannot be opened. All others are safe. Save one as a file to keep what is in it; a backup has them too.',
  saveAsFile: 'Save as file',
  deleteIt: 'Delete',
  isMissing: (place: string) => `“${place}” is missing.`,
  cannotBeUsed: (place: string, issue: string) => `“${place}” cannot be used: ${issue}`,
};

export const emptyStudioText = {
  removeTheExampleStudio: 'Remove the example studio',
  emptyTheStudio: 'Empty the studio …',
  emptyTheStudioAsked: 'Empty the studio?',
  thisDeletesTheyStay: (listed: string, binDays: number) =>
    `This deletes ${listed}. They stay under “Deleted” for ${binDays} days and can be brought back from there. A backup file keeps them for longer.`,
  leaveItAsIt: 'Leave it as it is',
  emptyTheStudioLabel: 'Empty the studio',
};

export const handMeasureText = {
  leftHand: 'Left hand',
  knownBy: 'Known by',
  notMeasuredReachUnknown: 'not measured: reach unknown',
  itsMeasures: 'its measures',
  comfortableSpread1To: 'Comfortable spread, 1 to 4',
  fullSpread1To: 'Full spread, 1 to 4',
  widthOfAFingertip: 'Width of a fingertip',
  aChildsSizeThis: (relaxedMm: number, fullMm: number, fingertipMm: number) =>
    `A child’s size: this hand is taken as ${relaxedMm} mm with ease and ${fullMm} mm at most, a fingertip ${fingertipMm} mm wide. Children’s hands can be smaller still: measure where you can.`,
  layTheLeftHand:
    'Lay the left hand flat, palm down, along a ruler and let it open without effort: from the middle of the first fingertip to the middle of the fourth is the',
  comfortable: 'comfortable',
  spreadOpenItAs: 'spread. Open it as far as it goes',
  withoutPainOrTrembling: 'without pain or trembling',
  thatIsThe: ': that is the',
  full: 'full',
  oneMeasureOneFingertip: 'one. Measure one fingertip pressed flat, across.',
  warmHandsOnlyAnd:
    'Warm hands only, and never pull a finger aside. Children’s hands are smaller than their instruments suggest, and grow: measure again each term. Pain, numbness or tingling: stop. Lasting pain belongs with a doctor or physiotherapist.',
  theComfortableSpreadMm: (relaxed: number, full: number) =>
    `The comfortable spread (${relaxed} mm) cannot be wider than the full one (${full} mm); measure again.`,
  from1To4: (words: string, round: number) => `From 1 to 4 on this ${words} (${round} mm)`,
  mm: (round: number) => `${round} mm`,
  unknown: 'unknown',
};

export const handPictureText = {
  aHandOnA: (relaxedMm: number, fullMm: number, fingertipMm: number) =>
    `A hand on a ruler: comfortable ${relaxedMm} mm, full ${fullMm} mm from first to fourth finger, fingertip ${fingertipMm} mm`,
  mm: (relaxedMm: number) => `${relaxedMm} mm`,
  mmFull: (fullMm: number) => `${fullMm} mm full`,
};

export const planListText = {
  thisStudent: 'this student',
  newPlanFor: (student: string) => `New plan for ${student}`,
  orderOfThePlans: 'Order of the plans',
  onlyPlansWithThis: 'Only plans with this tag',
  nothingHasAllOf:
    'Nothing has all of these words. Search for a name, a key (“E flat”), a kind (“arpeggio”), an instrument or a tag.',
  noPlanHereYet: 'No plan here yet.',
};

export const planRowText = {
  moreFor: (words: string) => `More for ${words}`,
  more: 'More …',
  renameAndTag: 'Rename and tag',
  bringBackFromThe: 'Bring back from the archive',
  putIntoTheArchive: 'Put into the archive',
  giveTo: (words: string) => `Give ${words} to`,
  giveToLabel: 'Give to …',
  noNameYet: 'no name yet',
  severalStudents: 'several students …',
  deleteIt: (words: string) => `Delete ${words}`,
  giveToSeveralStudents: (words: string) => `Give ${words} to several students`,
  changed: (day: string) => `changed ${day}`,
  opened: (day: string) => `opened ${day}`,
  name: 'Name',
  tags: 'Tags',
  tagsWithCommasBetween: 'tags, with commas between',
  keep: 'Keep',
  giveItTo: 'Give it to',
  notNow: 'Not now',
  give: 'Give',
};

export const studentSheetText = {
  fixedDoMiSi: 'fixed do (mi♭, si♭, si)',
  germanEsBH: 'German (Es, B, H)',
  aNewStudent: 'A new student',
  practice: 'Practice',
  lesson: 'Lesson',
  deleteIt: 'Delete',
  name: 'Name',
  level: 'Level',
  positionsTheyKnow: 'Positions they know',
  callsTheNotes: 'Calls the notes',
  instrument: 'Instrument',
  size: 'Size',
  stringLengthNutTo: 'String length, nut to bridge',
  tuningLowToHigh: 'Tuning, low to high',
  school: 'School',
  toRemember: 'To remember',
  threeToSixStrings: 'Three to six strings, low to high, such as “G3 D4 A4 E5”.',
  clefsTheyRead: 'Clefs they read',
};

export const studioText = {
  studio: 'Studio',
  searchStudentsAndPlans: 'Search students and plans',
  nameKeyTag: 'Name, key, tag …',
  theListOfStudents: 'The list of students',
  yourTaste: 'Your taste',
  aPageForA: 'A page for a class',
  theStudentsSheet: 'The student’s sheet',
  theListOfPlans: 'The list of plans',
  foundFor: (search: string) => `Found for “${search}”`,
  thisStudent: 'this student',
  plansFor: (student: string) => `Plans for ${student}`,
  allPlans: 'All plans',
  students: 'Students',
  newStudent: 'New student',
  everyone: 'Everyone',
  noNameYet: 'no name yet',
  nobodyHereYetA: 'Nobody here yet. A new student begins with a name and a hand.',
};

export const tasteText = {
  newPlans: 'New plans',
  thisStudent: 'this student',
  newPlansFor: (student: string) => `New plans for ${student}`,
  yourTaste: 'Your taste',
  leanTo: (whose: string, taste: string) => `${whose} lean to ${taste}.`,
  takeItBack: 'Take it back',
  shallLeanThatWay: (noticed: string, replace: string) => `${noticed} Shall ${replace} lean that way?`,
  yesFromNowOn: 'Yes, from now on',
  notNow: 'Not now',
};

export const searchText = {
  lastChanged: 'last changed',
  lastOpened: 'last opened',
  lastMade: 'last made',
  byName: 'by name',
};
