/** As wide as its words; the same in a slim row; or of one width, so that what follows keeps its place. */
type Look = 'own' | 'slim' | 'steady';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly (readonly [string, string])[];
  readonly look?: Look;
  readonly onChoose: (value: string) => void;
}

const LOOKS: Readonly<Record<Look, string>> = {
  own: 'min-h-10 [field-sizing:content] border-dove px-2',
  slim: 'min-h-8 [field-sizing:content] border-rule px-1',
  steady: 'min-h-10 border-dove px-2',
};

/** One choice out of a few. */
export function Choose({ label, value, choices, look = 'own', onChoose }: Props) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChoose(event.target.value)}
      className={`cursor-pointer rounded-md border bg-sheet ${LOOKS[look]}`}
    >
      {choices.map(([name, words]) => (
        <option key={name} value={name}>
          {words}
        </option>
      ))}
    </select>
  );
}
