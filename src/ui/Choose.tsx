interface Props {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly (readonly [string, string])[];
  readonly onChoose: (value: string) => void;
}

/** One choice out of a few, as wide as its words. */
export function Choose({ label, value, choices, onChoose }: Props) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChoose(event.target.value)}
      className="min-h-10 [field-sizing:content] cursor-pointer rounded-md border border-dove bg-sheet px-2"
    >
      {choices.map(([name, words]) => (
        <option key={name} value={name}>
          {words}
        </option>
      ))}
    </select>
  );
}
