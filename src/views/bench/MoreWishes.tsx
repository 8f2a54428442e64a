import { X } from 'lucide-react';
import { setRequest } from '../../app/edits';
import { optionalWords } from '../../app/brief/words';
import type { PlanRequest } from '../../core';
import { Help } from '../../ui/Help';
import { wishesMade, wishesToAdd } from '../../wording/wishes';
import { RequestMenu } from './RequestMenu';
import { Word } from './Word';
import * as benchBriefText from '../../wording/rooms/benchBrief';

/** What is not as usual: each thing is added from one list, changed where it stands, and removed again. */
export function MoreWishes({ request }: { readonly request: PlanRequest }) {
  const words = optionalWords(request);
  const choices = words.flatMap((word) =>
    word.choices
      .filter(([value]) => value !== word.usual && value !== word.value)
      .map(([value, shown]) => ({
        id: `${word.label}:${value}`,
        words: shown,
        group: word.group,
        request: word.put(value),
      })),
  );
  const offered = [...wishesToAdd(request), ...choices];
  return (
    <>
      {words
        .filter(({ value, usual }) => value !== usual)
        .map(({ label, value, usual, choices: own, other, put }) => (
          <span key={label} className="chip">
            <Word
              label={label}
              value={value}
              choices={own}
              other={other}
              onChange={(chosen) => setRequest(put(chosen))}
            />
            {label === 'Style' && value !== 'secure' && <Help word={value === 'early' ? 'early music' : 'singing'} />}
            <Remove
              words={own.find(([name]) => name === value)?.[1] ?? other ?? label}
              onRemove={() => setRequest(put(usual))}
            />
          </span>
        ))}
      {wishesMade(request).map(({ id, words: made, request: without }) => (
        <span key={id} className="chip pl-2">
          {made}
          <Remove words={made} onRemove={() => setRequest(without)} />
        </span>
      ))}
      <RequestMenu label={benchBriefText.addAWish} words={benchBriefText.addAWishLabel} asks={offered} />
    </>
  );
}

function Remove({ words, onRemove }: { readonly words: string; readonly onRemove: () => void }) {
  return (
    <button
      type="button"
      aria-label={benchBriefText.removeThisChoice(words)}
      className="inline-flex min-h-8 min-w-8 cursor-pointer items-center justify-center"
      onClick={(event) => {
        event.currentTarget.closest('section')?.querySelector<HTMLElement>('[aria-haspopup=menu]')?.focus();
        onRemove();
      }}
    >
      <X size={16} aria-hidden />
    </button>
  );
}
