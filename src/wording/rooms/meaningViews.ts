export const earText = {
  ear: 'Ear',
  intonation: 'Intonation',
  openStrings: 'Open strings',
  level: 'Level',
  withinCents: (level: string, level2: number) => `${level}: within ${level2} cents`,
  centsOnEachSemitone: 'Cents on each semitone from the tonic up',
  targets: 'Targets',
  note: 'Note',
  stringFinger: 'String, finger',
  target: 'Target',
  fromTheNut: 'From the nut',
  within: 'Within',
  bestCheck: 'Best check',
  open: 'open',
  itsOwnTuning: 'its own tuning',
  noneThatFits: 'none that fits',
  comma: '· comma',
  rings: '· rings',
  commaWord: 'comma',
  ringsWord: 'rings',
  targetCentsAgainstEqual:
    'Target: cents against equal temperament with A at 440 Hz. In brackets: how far from the equal place.',
  landmarks: 'Landmarks',
  onThePosition: (note: string, finger: string, value: string, placeName: string, setup: string) =>
    `${note}: ${finger} on the ${value}, ${placeName} position${setup}.`,
};

export const noteCloseUpText = {
  cents: (cents: number) => `${cents} cents`,
  onTheString: (name: string, printed: string) => `${name} on the ${printed} string`,
  theOpenStringTuned: (target: string) => `The open string, tuned ${target}.`,
  theMiddleOfThe: (sentence: string, mmFine: string, mmFine2: string, level: number) =>
    `${sentence}: the middle of the finger ${mmFine} from the nut, within ${mmFine2} (${level} cents).`,
  theBowMeetsThe: (cents: string, value: string) =>
    `${cents} The bow meets the string about ${value} mm from the bridge.`,
  checkItWith: 'Check it with',
  mistunedBy: 'mistuned by',
  mistunedByLabel: 'Mistuned by',
  stop: 'Stop',
  whenItIsTrue: 'When it is true,',
  theString: (printed: string) => `the ${printed} string`,
  ringsAlong: 'rings along.',
  theyAreCentsApart: (commaAdvice: string, value: string) => `${commaAdvice} They are ${value} cents apart.`,
  hearItPure: 'Hear it pure',
  centsLow: (off: string) => `${off} cents low`,
  centsHigh: (off: string) => `${off} cents high`,
  noSoundTheBrowser: 'No sound: the browser gives this page no way to play. Check its sound settings.',
};

export const togetherText = {
  soundingTogether: 'Sounding together',
  howFarFromIts: 'How far from its equal width each is when pure, and which finger moves for it: never an open string.',
  theFingerMoves: (name: string, intervalName: string, join: string, wide: string, moves: string) =>
    `${name}: ${intervalName} ${join}, ${wide}; the ${moves} finger moves.`,
  asTheTunerHas: 'as the tuner has it',
};

export const boardMapText = {
  noteNames: 'note names',
  mapOfTheFingerboard: 'Map of the fingerboard',
  keyOfTheMap: 'Key of the map',
  modeOfTheMap: 'Mode of the map',
  writtenInThePlaces: 'Written in the places',
  positionsOfTheMap: 'Positions of the map',
  theStudent: 'the student',
  allThatKnows: (student: string) => `all that ${student} knows`,
  allPositionsShown: 'all positions shown',
  fingerboardToScaleThe: (printed: string, mode: string) => `Fingerboard to scale: the notes of ${printed} ${mode}`,
  twoRingsAnOpen: 'Two rings: an open string rings along when the note is true.',
  chooseANoteWhere: 'Choose a note: where else it is, with which finger in which position, and what to check it by.',
  aSharpOrA: ' A sharp or a flat keeps the finger of its letter: the finger moves, not its number.',
  onlyThePlacesOf: (note: string) => `only the places of ${note}`,
  onThe: (value: string) => `on the ${value}`,
  open: (on: string) => `open ${on}`,
  inIt: (finger: string | number, positionName: string) => `${finger} in ${positionName}`,
  position: (on: string, listed: string) => `${on}: ${listed} position`,
  ringsWithTheOpen: (value: string) => `; rings with the open ${value}`,
  nowhereElseWithinThese: 'Nowhere else within these positions.',
  theSameNote: (listed: string) => `The same note ${listed}.`,
  checkIt: (shortCheck: string) => `Check it: ${shortCheck}.`,
  noStringChecksIt: 'No string checks it: sing it first, or use a drone.',
  the: (value: string) => `the ${value}`,
  ringsAlongWhenIt: (sentence: string) => ` ${sentence} rings along when it is true.`,
};

export const framesText = {
  fingerPatternsStringBy: 'Finger patterns, string by string',
  fingerPattern: 'finger pattern',
  toScaleTheTones: 'To scale; the tones between the fingers are written above, half tones as ½.',
  string: (printed: string) => `${printed} string`,
};

export const handText = {
  hand: 'Hand',
  reachAndRoom: 'Reach and room',
  everythingLiesEasilyIn: 'Everything lies easily in this hand, and no two fingers crowd.',
  openItsDrill: 'open its drill',
  practiseIt: 'practise it',
  rePlacedFingers: 'Re-placed fingers',
  noFingerIsNeeded: 'No finger is needed high on one string and low on the next while the hand stays.',
  whatTheFingersDo: 'What the fingers do',
  atThisTempoAnd: 'At this tempo and level; a faster tempo in the brief lets the hand fall as one.',
};

export const positionsText = {
  chooseAPatternWith: 'Choose a pattern with two fingers or more to see it in other positions.',
  theSamePatternIn: 'The same pattern in other places',
  stringFromTo: (printed: string, value: string | number, value2: string | number) =>
    `${printed} string, from ${value} to ${value2}`,
  higherBy: 'Higher by',
  fingerAt: (value: string | number) => `Finger ${value} at`,
  spread: 'Spread',
  forThisHand: 'For this hand',
  asItIs: 'as it is',
};

export const wayRoundText = {
  findAnotherWay: 'find another way',
  withoutAt: (finger: string, where: string, planTitle: string) => `Without ${finger} at ${where} (${planTitle})`,
  openIt: 'open it',
  thisCannotBeAsked: 'This cannot be asked here.',
  anotherWayChanges: (changedPlaces: string, trade: string) => `Another way changes ${changedPlaces}${trade}.`,
  withinThisBriefThere: (problemHelp: string) => `Within this brief there is none. It needs to ${problemHelp}.`,
};

export const closeUpText = {
  to: (join: string, fromFinger: string | number, toFinger: string | number) => `${join}, ${fromFinger} to ${toFinger}`,
  towardsTheBridge: 'towards the bridge',
  towardsTheNut: 'towards the nut',
  theHandGoesIn: (guide: string, semitone: string, mm: string, nut: string, seconds: string, way: string) =>
    `${guide} The hand goes ${semitone}, ${mm} ${nut}, in ${seconds}, ${way}.`,
  rehearseIt: 'Rehearse it',
  openTheRehearsalOn: 'Open the rehearsal on the Bench',
  openTheDrillMost: 'Open the drill most like it',
  practiseTheRehearsal: 'Practise the rehearsal',
  practiseThisShift: 'Practise this shift',
  nowhereElseWithoutA: 'Nowhere else: without a shift to this note no fingering is left.',
  withoutThisShiftThe: (takes: string) => `Without this shift the hand makes no other${takes}.`,
  otherPlace: 'other place',
  and: (counted: string) => ` and ${counted}`,
  elsewhereTheSameJob: (places: string, place: string, takes: string) =>
    `Elsewhere the same job is done by shifting at ${places}${place}${takes}.`,
};

export const seriesText = {
  aShiftFromFinger: 'a shift from finger to finger',
  oneFingerAllThe: 'one finger all the way',
  aFingerMatchedBy: 'a finger matched by the first',
  octavesBuiltUp: 'octaves built up',
  aScaleInOne: 'a scale in one position',
  brokenThirdsInOne: 'broken thirds in one position',
  theSameNote: 'the same note',
  anOctave: 'an octave',
  goingUp: 'going up',
  comingDown: 'coming down',
  places: (span: number) => `${span} places`,
  nothingOfThisDrill:
    'Nothing of this drill lies under these fingers. Choose a smaller distance, other fingers or another string.',
  thisPositionHasNot: 'This position has not a whole octave of this key. Choose another position or key.',
  string: (value: string, key: string) => `${value} string, ${key}`,
  octavesBuiltUpIn: (key: string) => `Octaves built up, ${key}`,
  fingerAllTheWay: (from: string, where: string) => `Finger ${from} all the way, ${where}`,
  fingerMatchedBy1: (from: string, where: string) => `Finger ${from} matched by 1, ${where}`,
  shiftTo: (from: string, to: string, where: string) => `Shift ${from} to ${to}, ${where}`,
  aDrillMadeTo: 'A drill made to order',
  itBeginsAsThe: 'It begins as the shift chosen above; another key keeps its fingers and its distance.',
  kindOfDrill: 'Kind of drill',
  position: 'Position',
  fromFinger: 'From finger',
  to: 'to',
  toFinger: 'To finger',
  distance: 'Distance',
  direction: 'Direction',
  stringLabel: 'String',
  stringNamed: (printed: string) => `${printed} string`,
  everyString: 'every string',
  key: 'Key',
  span: 'Span',
  openItOnThe: 'Open it on the Bench',
  practiseIt: 'Practise it',
};

export const shiftsText = {
  shifts: 'Shifts',
  thisPlanHasNo: 'This plan has no shift: the hand stays where it is. Series for shifts to come are below.',
  allShifts: 'All shifts',
  hardestFirst: 'Hardest first',
  howHard: 'How hard',
  st: (up: string, semitones: number, mm: string) => `${up} ${semitones} st, ${mm}`,
  stSemitonesAlongThe: 'st: semitones along the string; the place is that of the note arrived at.',
};
