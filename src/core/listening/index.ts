/** The public face of listening: fetched only where somebody is listened to. */
export { causesIn, type Cause, type Evidence } from './causes';
export { expectedOf, type Expected, type ExpectedEvent, type ExpectedStop } from './expected';
export { startListening, type LiveMoment } from './live';
export { chances, faultIssues, performed, type Chance, type PerformedNote } from './performance';
export {
  listen,
  type FoundReportCause,
  type Report,
  type ReportCause,
  type ReportNote,
  type ReportPass,
  type ReportShift,
  type Unheard,
} from './report';
export { drawnPartials, plucked, sawtooth } from './otherVoices';
export { bowedTake, type Voice } from './voices';
