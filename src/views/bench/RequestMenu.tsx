import { setRequest } from '../../app/edits';
import type { PlanRequest } from '../../core';
import { ActMenu } from '../../ui/ActMenu';

interface Props {
  readonly label: string;
  readonly words: string;
  /** Each with the request that it makes. */
  readonly asks: readonly {
    readonly id: string;
    readonly words: string;
    readonly group?: string;
    readonly request: PlanRequest;
  }[];
}

/** A menu of what can be asked of the plan: what is chosen is planned at once. */
export function RequestMenu({ label, words, asks }: Props) {
  return (
    <ActMenu
      label={label}
      words={words}
      acts={asks}
      onAct={(id) => {
        const ask = asks.find((one) => one.id === id);
        if (ask) setRequest(ask.request);
      }}
    />
  );
}
