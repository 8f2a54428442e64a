/** The public face of the core: everything above it imports from here only. */
export type { PositionLabel } from './hand/hold';
export { inPosition, ordinal } from './hand/hold';
export { positionsOf } from './hand/models';
export { HAND_DEFAULTS, resolveHand, type HandChoice, type HandProfile, type HandSize } from './hand/profile';
export { reachShare, reachVerdict, spreadMm, type Verdict } from './hand/reach';
export { centsPerMm, stopMm, stopMmForRatio } from './instrument/geometry';
export { INSTRUMENTS, type Clef, type InstrumentData, type InstrumentKind } from './instrument/instruments';
export { resolveSetup, type ChoiceIssue, type OpenString, type Setup } from './instrument/setup';
export { readNoteText, writeNoteText, type NoteText, type TextIssue } from './formats/notetext';
export * from './findings/checks';
export type { Crowd } from './findings/crowding';
export type { Cue, CueAt } from './findings/economy';
export { findingsOf, type Finding, type Findings, type Heard } from './findings/findings';
export { playedNotes, type Played } from './findings/played';
export type { HandCue, HearFirst, ShiftDetail } from './findings/shifts';
export type { Trap } from './findings/traps';
export {
  drillLike,
  matchingDrill,
  octaveBuilding,
  sameFingerSeries,
  shiftDrill,
  type Series,
  type ShiftDrill,
} from './practice/drills';
export { drillForFinding, passageDrill, stretchDrill } from './practice/passage';
export { onePositionDrill, sameFingerOnAll, type PositionDrill } from './practice/series';
export { rehearse, TURNS, type Rehearsal, type RehearsalStep } from './practice/rehearsal';
export {
  centsOf,
  COMMA,
  justCents,
  pythagoreanCents,
  SYSTEMS,
  tableIssues,
  type OwnTable,
  type StringTuning,
  type System,
} from './pitch/intonation';
export { writtenOut } from './material/build';
export { MOST_EVENTS } from './material/issues';
export type * from './material/spec';
export { NOTE_NAMES, noteName, type NoteNames } from './pitch/naming';
export { keyAlteration, signatureName, type Key } from './pitch/key';
export { letterSteps, midiOf, parsePitch, pitchClassName, pitchName, type Pitch } from './pitch/pitch';
export {
  comparePlans,
  heldAlike,
  type Comparison,
  type PlaceCompared,
  type TermCompared,
} from './planner/compare';
export { requestIssues } from './planner/issues';
export { plan } from './planner/plan';
export { priceWords } from './planner/price';
export type * from './planner/request';
export type * from './planner/response';
export { requestWeights, type Weights } from './planner/weights';
export { TERM_NAMES, type TermName } from './planner/terms';
