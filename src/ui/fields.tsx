import { useEffect, useId, useRef, useState } from 'react';
import { LINE, useTyped } from './useTyped';
import * as sharedText from '../wording/rooms/shared';

/*
 * The boxes of a student's sheet. Each keeps what is typed; what cannot be used is said below the box and kept in it.
 */

const BOX = 'min-h-10 w-full rounded-md border border-rule bg-paper px-2';

interface TextProps {
  readonly label: string;
  readonly value: string;
  /** Says what is wrong with what was typed; null where nothing is. */
  readonly trouble?: (text: string) => string | null;
  readonly onPut: (text: string) => void;
  /** True where the cursor is in it as it comes up. */
  readonly focus?: boolean;
}

export function TextField({ label, value, trouble, onPut, focus = false }: TextProps) {
  const { box, wrong, full } = useTyped(value, onPut, { trouble });
  const id = useId();
  return (
    <label className="flex flex-col text-sm text-faded">
      {label}
      <input
        className={`${BOX} text-base text-ink`}
        autoFocus={focus}
        aria-invalid={wrong !== null}
        aria-describedby={wrong || full ? id : undefined}
        {...box}
      />
      {wrong && <Wrong id={id} words={wrong} />}
      {full && <Full id={id} most={LINE} />}
    </label>
  );
}

interface TypedBoxProps extends TextProps {
  readonly className: string;
  readonly placeholder?: string;
  readonly most?: number;
}

/** The same without a label to be seen. */
export function TypedBox({ label, value, trouble, onPut, className, placeholder, most = LINE }: TypedBoxProps) {
  const { box, wrong, full } = useTyped(value, onPut, { trouble, most });
  return (
    <>
      <input
        aria-label={label}
        aria-invalid={wrong !== null}
        className={className}
        placeholder={placeholder}
        {...box}
      />
      {wrong && (
        <span role="alert" className="text-sm text-madder">
          {wrong}
        </span>
      )}
      {full && <Full most={most} />}
    </>
  );
}

interface FullProps {
  readonly id?: string;
  readonly most: number;
}

/** Said where more was typed or pasted than a box takes. */
export function Full({ id, most }: FullProps) {
  return (
    <span id={id} role="alert" className="text-sm text-madder">
      {sharedText.noMoreLetters(most)}
    </span>
  );
}

interface NumberProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number | undefined;
  /** What is taken where nothing is typed; without it something must be. */
  readonly usual?: number;
  readonly least: number;
  readonly most: number;
  readonly trouble?: (value: number | undefined) => string | null;
  readonly onPut: (value: number | undefined) => void;
}

export function NumberField({ label, unit, value, usual, least, most, trouble = () => null, onPut }: NumberProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [focused, setFocused] = useState(false);
  const id = useId();
  const read = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')));
  const wrongIn = (text: string) => {
    const number = read(text);
    if (number === undefined) return usual === undefined ? sharedText.giveANumberOf(unit) : trouble(number);
    if (!(number >= least && number <= most)) return sharedText.betweenAnd(least, most, unit);
    return trouble(number);
  };
  const wrong = typed === null ? null : wrongIn(typed);
  // Once it is kept there is nothing more to hold on to; the box shows the same before and after.
  if (typed !== null && !focused && !wrong && read(typed) === value) setTyped(null);
  // What is typed counts as soon as nothing is wrong with it, also where another box has been put right since.
  const put = useRef<string | null>(null);
  useEffect(() => {
    const fresh = typed !== put.current;
    if (!wrong) put.current = typed;
    if (typed !== null && !wrong && fresh) onPut(read(typed));
  });
  return (
    <label className="flex flex-col text-sm text-faded">
      {label}
      <span className="flex items-center gap-2">
        <input
          className={`${BOX} max-w-32 text-base text-ink`}
          inputMode="decimal"
          value={typed ?? value ?? ''}
          placeholder={usual === undefined ? undefined : String(usual)}
          aria-invalid={wrong !== null}
          aria-describedby={wrong ? id : undefined}
          onChange={(event) => setTyped(event.target.value)}
          onFocus={() => setFocused(true)}
          onBlur={() => setFocused(false)}
        />
        <span className="text-base">{unit}</span>
      </span>
      {wrong && <Wrong id={id} words={wrong} />}
    </label>
  );
}

function Wrong({ id, words }: { readonly id: string; readonly words: string }) {
  return (
    <span id={id} role="alert" className="text-madder">
      {sharedText.notTakenUntilIt(words)}
    </span>
  );
}

interface PickProps {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly (readonly [string, string])[];
  /** Words for a value that is none of the choices. */
  readonly other?: string;
  readonly onPick: (value: string) => void;
}

export function Pick({ label, value, choices, other, onPick }: PickProps) {
  const known = choices.some(([name]) => name === value);
  const id = useId();
  return (
    <div className="flex flex-col text-sm text-faded">
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        className={`${BOX} cursor-pointer text-base text-ink`}
        value={value}
        onChange={(event) => onPick(event.target.value)}
      >
        {!known && <option value={value}>{other ?? value}</option>}
        {choices.map(([name, words]) => (
          <option key={name} value={name}>
            {words}
          </option>
        ))}
      </select>
    </div>
  );
}
