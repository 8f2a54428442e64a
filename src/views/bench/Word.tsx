import type { WordChoice } from '../../wording/choice';

interface WordProps {
  /** Punctuation that must not begin a line. */
  readonly then?: string;
  readonly label: string;
  readonly value: string;
  readonly choices: readonly WordChoice[];
  readonly onChange: (value: string) => void;
  /** Words for a value that is none of the choices (from a file, say): it is kept and shown. */
  readonly other?: string;
}

/** One word of the brief. */
export function Word({ label, value, choices, onChange, other, then = '' }: WordProps) {
  const known = choices.some(([name]) => name === value);
  return (
    <span className="whitespace-nowrap">
      <select className="word" aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
        {!known && <option value={value}>{other || value}</option>}
        {choices.map(([name, words]) => (
          <option key={name} value={name}>
            {words}
          </option>
        ))}
      </select>
      {then}
    </span>
  );
}
