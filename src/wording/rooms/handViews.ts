export const noteNames = 'note names';
export const mapOfTheFingerboard = 'Map of the fingerboard';
export const keyOfTheMap = 'Key of the map';
export const modeOfTheMap = 'Mode of the map';
export const writtenInThePlaces = 'Written in the places';
export const positionsOfTheMap = 'Positions of the map';
export const theStudent = 'the student';
export const allThatKnows = (student: string) => `all that ${student} knows`;
export const allPositionsShown = 'all positions shown';
export const fingerboardToScaleThe = (printed: string, mode: string) =>
  `Fingerboard to scale: the notes of ${printed} ${mode}`;
export const twoRingsAnOpen = 'Two rings: an open string rings along when the note is true.';
export const chooseANoteWhere =
  'Choose a note: where else it is, with which finger in which position, and what to check it by.';
export const aSharpOrA = ' A sharp or a flat keeps the finger of its letter: the finger moves, not its number.';
export const onlyThePlacesOf = (note: string) => `only the places of ${note}`;
export const onThe = (value: string) => `on the ${value}`;
export const boardMapOpen = (on: string) => `open ${on}`;
export const inIt = (finger: string | number, positionName: string) => `${finger} in ${positionName}`;
export const position = (on: string, listed: string) => `${on}: ${listed} position`;
export const ringsWithTheOpen = (value: string) => `; rings with the open ${value}`;
export const nowhereElseWithinThese = 'Nowhere else within these positions.';
export const theSameNote = (listed: string) => `The same note ${listed}.`;
export const checkIt = (shortCheck: string) => `Check it: ${shortCheck}.`;
export const noStringChecksIt = 'No string checks it: sing it first, or use a drone.';
export const ringsAlongWhenIt = (sentence: string) => ` ${sentence} rings along when it is true.`;
export const fingerPatternsStringBy = 'Finger patterns, string by string';
export const toScaleTheTones = 'To scale; the tones between the fingers are written above, half tones as ½.';
export const reachAndRoom = 'Reach and room';
export const everythingLiesEasilyIn = 'Everything lies easily in this hand, and no two fingers crowd.';
export const openItsDrill = 'open its drill';
export const practiseIt = 'practise it';
export const rePlacedFingers = 'Re-placed fingers';
export const noFingerIsNeeded = 'No finger is needed high on one string and low on the next while the hand stays.';
export const whatTheFingersDo = 'What the fingers do';
export const atThisTempoAnd = 'At this tempo and level; a faster tempo in the brief lets the hand fall as one.';
export const chooseAPatternWith = 'Choose a pattern with two fingers or more to see it in other positions.';
export const theSamePatternIn = 'The same pattern in other places';
export const stringFromTo = (printed: string, value: string | number, value2: string | number) =>
  `${printed} string, from ${value} to ${value2}`;
export const higherBy = 'Higher by';
export const fingerAt = (value: string | number) => `Finger ${value} at`;
export const spread = 'Spread';
export const forThisHand = 'For this hand';
export const asItIs = 'as it is';
export const findAnotherWay = 'find another way';
export const withoutAt = (finger: string, where: string, planTitle: string) =>
  `Without ${finger} at ${where} (${planTitle})`;
export const openIt = 'open it';
export const thisCannotBeAsked = 'This cannot be asked here.';
export const anotherWayChanges = (changedPlaces: string, trade: string) =>
  `Another way changes ${changedPlaces}${trade}.`;
export const withinThisBriefThere = (problemHelp: string) =>
  `Within this brief there is none. It needs to ${problemHelp}.`;
export const the = (value: string) => `the ${value}`;
export const string = (printed: string) => `${printed} string`;
export const hand = 'Hand';
