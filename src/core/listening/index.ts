/** The public face of listening: fetched only where somebody is listened to. */
export { joinedBlocks } from './samples';
export { causesIn, type Cause } from './causes';
export { expectedOf, expectedPart, stringsOf, type Expected } from './expected';
export { judgedByEar, triesOf, type EarVerdict } from './heardTries';
export { startListening, type LiveMoment } from './live';
export { chances, faultIssues, performed, type Chance, type PerformedNote } from './performance';
export {
  listen,
  type FoundReportCause,
  type Listening,
  type Report,
  type ReportCause,
  type ReportNote,
  type Unheard,
} from './report';
export { drawnPartials, plucked, sawtooth } from './otherVoices';
export { startTuning, type Tuning } from './tuner';
export { bowedTake, type Voice } from './voices';
