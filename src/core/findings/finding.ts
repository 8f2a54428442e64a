import type { Pitch } from '../pitch/pitch';
import type { ReachAnswer } from '../vocabulary';
import type { CommaConflict } from './checks';
import type { Crowd } from './crowding';
import type { Heard } from './heard';
import type { Lesson } from './firstLessons';
import type { OctavePassage } from './octaves';
import type { Played } from './played';
import type { Rough } from './rough';
import type { ShiftDetail } from './shifts';
import type { Trap } from './traps';

/** One thing worth a teacher's attention, with the notes it is about. */
export type Finding = {
  readonly events: readonly number[];
  readonly weight: number;
  /** The notes of the other places where the same is found. */
  readonly also?: readonly (readonly number[])[];
} & (
  | { readonly kind: 'shift'; readonly detail: ShiftDetail }
  /** With the note that is played so; touched instead it may be a harmonic. */
  | {
      readonly kind: 'stretch';
      readonly reach: ReachAnswer;
      readonly limitMm: number;
      readonly note: Played;
      readonly harmonic?: Pitch;
    }
  | { readonly kind: 'crowding'; readonly crowd: Crowd }
  | { readonly kind: 'trap'; readonly trap: Trap }
  | { readonly kind: 'comma'; readonly conflict: CommaConflict; readonly note: Played }
  | { readonly kind: Rough['kind']; readonly rough: Rough }
  /** Notes running that nothing checks. */
  | { readonly kind: 'no-check'; readonly run: readonly Heard[] }
  | { readonly kind: 'octaves'; readonly passage: OctavePassage }
  /** What is new where little is hard. */
  | { readonly kind: 'lesson'; readonly lesson: Lesson }
);
