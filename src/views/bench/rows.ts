import type { Plan, ResponseEvent, Setup } from '../../core';
import type { Speech } from '../../wording/plans';
import type { Visible } from './columns';

/** What every row of the stage draws from. */
export interface RowProps {
  readonly events: readonly ResponseEvent[];
  readonly plan: Plan;
  readonly setup: Setup;
  readonly visible: Visible;
  readonly width: number;
  readonly speech: Speech;
}
