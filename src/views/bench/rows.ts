import type { Plan, ResponseEvent, Setup } from '../../core';
import type { Layout } from '../../drawing/score';
import type { Speech } from '../../wording/plans';
import type { Visible } from './shape';

/** What every row of the stage draws from. */
export interface RowProps {
  readonly events: readonly ResponseEvent[];
  readonly plan: Plan;
  readonly setup: Setup;
  readonly visible: Visible;
  readonly layout: Layout;
  readonly height: number;
  readonly speech: Speech;
}

/** Width of an event's column. */
export function columnOf({ left }: Layout, at: number): number {
  return left(at + 1) - left(at);
}
