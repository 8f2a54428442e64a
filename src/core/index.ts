/** The public face of the core: everything above it imports from here only. */
export { laidFingers, type FingerPlaces } from './hand/finger';
export * from './vocabulary';
export { buildMusic } from './material/build';
export { lieOf, liesIn, type Lie } from './hand/lies';
export { opensBothWays, positionsOf } from './hand/positions';
export { soundsAlikeTouched } from './instrument/nodes';
export { childShare, oddMeasures, resolveHand, type OddMeasure, type HandChoice } from './hand/profile';
export { type HandProfile, type InstrumentRecord, type Stage, type Stringing } from './instrument/record';
export { pairVerdict, reachVerdict, spreadMm } from './hand/reach';
export { centsPerMm, stopMm, stopMmForRatio } from './instrument/geometry';
export { instrumentRecord, addInstrument, schoolsOf } from './instrument/instruments';
export { resolveSetup, type OpenString, type Setup } from './instrument/setup';
export type { Issue, IssueData } from './issue';
export { readNoteText, writeNoteText, type NoteText, type TextIssue, type TextIssueCode } from './formats/notetext';
export * from './findings/checks';
export * from './findings/pure';
export * from './findings/targets';
export { TOLERANCES } from './pitch/levels';
export { crowdedPairs, isCrowded, isTouching, type Crowd, type CrowdedPair } from './findings/crowding';
export type { Cue, CueAt } from './findings/economy';
export { findingsOf, type Findings } from './findings/findings';
export { type Finding } from './findings/finding';
export { heardNotes, type Heard } from './findings/heard';
export { playedNotes, type Played } from './findings/played';
export { spellInKey } from './pitch/inkey';
export { hardness, type Hard } from './findings/ranking';
export type { Rough } from './findings/rough';
export type { HearFirst } from './findings/hearFirst';
export { shiftsInstead, withoutShift } from './findings/instead';
export type { Lesson, StringPattern } from './findings/firstLessons';
export type { Link, Neighbour } from './findings/neighbours';
export { isOnPivots, type HandCue, type ShiftDetail } from './findings/shifts';
export type { Trap } from './findings/traps';
export { isUnchecked } from './findings/unchecked';
export {
  drillLike,
  drillOfShift,
  matchingDrill,
  octaveBuilding,
  readKey,
  sameFingerSeries,
  shiftDrill,
  type Series,
  type ShiftDrill,
} from './practice/drills';
export * from './practice/cards';
export * from './practice/map';
export * from './practice/climb';
export { comesBack, partsOfDay, type DayPart } from './practice/day';
export { goneOn, ruleOf, samePlaceOf, stepUp } from './practice/goingOn';
export { wilsonInterval } from './practice/statistics';
export { isKind, KINDS, kindsOfNotes, type Kind } from './practice/kinds';
export { handTime, secondsOfShortest, stepsOf, taskIssues, temposOf, type LadderStep } from './practice/ladder';
export { type Passage } from './practice/growing';
export * from './practice/sums';
export * from './practice/terms';
export { eventsOfStep } from './practice/timing';
export { earlyIn, leansSurely, sumOf, trendsIn, type DayOfSums, type Trend } from './practice/trends';
export { proposeWeek, type WeekGiven } from './practice/week';
export { choicesIn, learnTaste, type Chosen, type Learned, type TasteChoice, type Wanted } from './taste/learn';
export { drillKey } from './practice/drillNotes';
export { drillForFinding, passageDrill, stretchDrill } from './practice/passage';
export { onePositionDrill, sameFingerOnAll, type PositionDrill } from './practice/series';
export { patternsInPosition } from './practice/positionPatterns';
export { rehearse, REHEARSAL_STEPS, TURNS, type Rehearsal, type RehearsalStep } from './practice/rehearsal';
export {
  centsOf,
  COMMA,
  justCents,
  pythagoreanCents,
  tableIssues,
  type OwnTable,
  type TableIssue,
} from './pitch/intonation';
export {
  barsOf,
  COMMON_TIME,
  onsetsOf,
  placesIn,
  readTime,
  type Bar,
  type Barred,
  type BarPlace,
  type TimeSignature,
} from './material/bars';
export { beatsOf, notesOf } from './material/noteEvents';
export { oddBars, type OddBar } from './material/oddBars';
export { bowChanges, bowsOf, hasBows, type Bow } from './material/bows';
export { writtenOut } from './material/build';
export { notesFollowed, sameMusic } from './material/sameMusic';
export { MOST_EVENTS } from './material/materialIssues';
export * from './written/beams';
export { decisiveAt, oursAt } from './written/decisive';
export {
  writtenBars,
  writtenNotes,
  type BeamPart,
  type NoteInBar,
  type WrittenBar,
  type WrittenNote,
} from './written/score';
export * from './written/clefs';
export * from './written/parts';
export * from './written/signature';
export { signsToShow } from './written/signs';
export * from './written/values';
export { keyAlteration, signatureName, type Key } from './pitch/key';
export { letterSteps, midiOf, parsePitch, pitchClassName, pitchName, spellMidi, type Pitch } from './pitch/pitch';
export { CHORDS, SCALES } from './pitch/scales';
export { comparePlans, heldAlike, samePlace } from './planner/explain';
export { changesBetween, changesWithin, withDemand } from './planner/ways';
export { requestIssues } from './planner/issues';
export { withPiece } from './planner/instead';
export { fingeringOf, hasFingering, planKept, type KeptAnswer } from './planner/kept';
export { asWritten, withLocksOver, writtenPlan, type AsWritten, type Unplayable } from './planner/asWritten';
export { plan } from './planner/plan';
export { requestWeights } from './planner/cost';
export { type Weights } from './vocabulary';
export { aimFor } from './findings/aim';
export { keysAt } from './material/keys';
export { metronomeOf } from './material/tempo';
export { phraseMarks } from './material/phrases';
