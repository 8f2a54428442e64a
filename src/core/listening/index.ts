/** The public face of listening: fetched only where somebody is listened to. */
export { startFollowing } from './align';
export { causesIn, type Cause, type Evidence } from './causes';
export { expectedOf, type Expected, type ExpectedEvent, type ExpectedStop } from './expected';
export { median } from './middle';
export { chances, faultIssues, performed, type Chance, type PerformedNote } from './performance';
export { pitchFrames, type Frames } from './pitchFrames';
export {
  listen,
  reportOf,
  type FoundReportCause,
  type Report,
  type ReportCause,
  type ReportNote,
  type ReportPass,
  type ReportShift,
  type Unheard,
} from './report';
export { pitchSettings } from './pitchSettings';
export { drawnPartials, plucked, sawtooth } from './otherVoices';
export { bowedTake, pitchAt, type Voice } from './voices';
