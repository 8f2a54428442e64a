import { useState, type ChangeEvent } from 'react';

/** Texts that differ in spaces, commas or case alone are the same to a box. */
const plain = (text: string) =>
  text
    .trim()
    .split(/[\s,]+/)
    .join(' ')
    .toLowerCase();

/** Most letters of a line of words. */
export const LINE = 400;

/**
 * What is typed in a box stays as it is typed: what the storage tells back is shown only where the cursor is not in it.
 * @param value as it is kept
 * @param onPut called with each text that is not wrong
 * @param trouble says what is wrong with what was typed; null where nothing is
 * @param most letters that are taken; what goes beyond is left out, and `full` says so
 */
export function useTyped(
  value: string,
  onPut: (text: string) => void,
  { trouble = () => null, most = LINE }: { trouble?: (text: string) => string | null; most?: number } = {},
) {
  const [typed, setTyped] = useState<string | null>(null);
  const [focused, setFocused] = useState(false);
  const [full, setFull] = useState(false);
  const wrong = typed === null ? null : trouble(typed);
  // What was typed stays in the box until it is saved, also where that fails at first.
  if (typed !== null && !focused && !wrong && plain(typed) === plain(value)) setTyped(null);
  return {
    wrong,
    full,
    box: {
      value: typed ?? value,
      onChange(event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) {
        const text = event.target.value.slice(0, most);
        setFull(event.target.value.length > most);
        setTyped(text);
        if (trouble(text) === null) onPut(text);
      },
      onFocus: () => setFocused(true),
      onBlur: () => setFocused(false),
    },
  };
}
