import { useState } from 'react';
import type { Gift } from '../../app/giving';
import type { PlanRecord, StudentRecord } from '../../core';
import * as studioViewsText from '../../wording/rooms/studioViews';

interface Props {
  readonly plan: PlanRecord;
  readonly others: readonly StudentRecord[];
  readonly onDone: () => void;
}

/** Planning a copy is fetched when one is given. */
const loadGiving = () => import('../../app/giving');

/** Students to give a plan to, and then what came of it for each. */
export function GiveSeveral({ plan, others, onDone }: Props) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [gifts, setGifts] = useState<readonly Gift[] | 'working' | null>(null);
  const give = async () => {
    setGifts('working');
    const { giveToEach } = await loadGiving();
    setGifts(
      await giveToEach(
        plan,
        others.filter(({ id }) => chosen.includes(id)),
      ),
    );
  };
  const close = () => {
    setGifts(null);
    setChosen([]);
    onDone();
  };
  if (gifts === 'working') return <p role="status">{studioViewsText.eachCopyIsPlanned}</p>;
  if (gifts) {
    const replace = (gift: Gift) =>
      setGifts(gifts.map((other) => (other.student.id === gift.student.id ? gift : other)));
    return (
      <div className="flex max-w-xl flex-col gap-3">
        <ul className="flex flex-col gap-2" aria-label={studioViewsText.whatWasGiven}>
          {gifts.map((gift) => (
            <GiftRow key={gift.student.id} plan={plan} gift={gift} onGiven={replace} />
          ))}
        </ul>
        <button type="button" autoFocus className="button self-end" onClick={close}>
          {studioViewsText.done}
        </button>
      </div>
    );
  }
  return (
    <div className="flex flex-col gap-2">
      <h2 className="font-serif text-xl font-semibold">{studioViewsText.giveItTo}</h2>
      {others.map(({ id, name }) => (
        <label key={id} className="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={chosen.includes(id)}
            onChange={(event) => setChosen(event.target.checked ? [...chosen, id] : chosen.filter((one) => one !== id))}
          />
          {name || studioViewsText.noNameYet}
        </label>
      ))}
      <div className="flex justify-end gap-2">
        <button type="button" className="button" onClick={onDone}>
          {studioViewsText.notNow}
        </button>
        <button type="button" className="button" disabled={chosen.length === 0} onClick={() => void give()}>
          {studioViewsText.give}
        </button>
      </div>
    </div>
  );
}

interface GiftProps {
  readonly plan: PlanRecord;
  readonly gift: Gift;
  readonly onGiven: (gift: Gift) => void;
}

function GiftRow({ plan, gift, onGiven }: GiftProps) {
  const name = gift.student.name || studioViewsText.noNameYet;
  switch (gift.kind) {
    case 'given':
      return (
        <li>
          <strong>{name}</strong>: {gift.differences.length > 0 ? gift.differences.join(' ') : studioViewsText.asItIs}
        </li>
      );
    case 'failed':
      return (
        <li className="text-madder">
          <strong>{name}</strong>: {studioViewsText.notGiven}
        </li>
      );
    case 'unplayable':
      return (
        <li className="flex flex-col gap-1">
          <span className="text-madder">
            <strong>{name}</strong>: {studioViewsText.notGivenSince(gift.message)}
          </span>
          <span className="flex flex-wrap gap-2">
            {gift.offers.map((offer) => (
              <button
                key={offer.words}
                type="button"
                className="button"
                onClick={() =>
                  void loadGiving()
                    .then(({ giveInstead }) => giveInstead(plan, gift.student, offer))
                    .then(onGiven)
                }
              >
                {studioViewsText.giveInstead(offer.words)}
              </button>
            ))}
          </span>
        </li>
      );
  }
}
