import { ChordType, Interval, ScaleType } from 'tonal';

/*
 * Scales and chords by all their names, as the theory package knows them: the app needs the list only, not the package.
 */

type Row = readonly [names: readonly string[], degrees: readonly (readonly [steps: number, semitones: number])[]];

const TYPE = `type Row = readonly [names: readonly string[], degrees: readonly (readonly [steps: number, semitones: number])[]];
`;

export function patternFiles(): Readonly<Record<string, string>> {
  const scales = ScaleType.all().map(({ name, aliases, intervals }) => row([name, ...aliases], intervals));
  const chords = ChordType.all().map(({ name, aliases, intervals }) =>
    row(
      [name, ...aliases].filter((known) => known !== ''),
      intervals,
    ),
  );
  return {
    'patterns.ts': `${TYPE}export const scales: readonly Row[] = ${JSON.stringify(scales)};
export const chords: readonly Row[] = ${JSON.stringify(chords)};
`,
  };
}

function row(names: readonly string[], intervals: readonly string[]): Row {
  const degrees = intervals.map((name) => {
    const { step, semitones } = Interval.get(name);
    return [step, semitones] as const;
  });
  return [names, degrees];
}
