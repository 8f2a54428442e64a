/*
 * Keys as German and French players say them: "Es-Dur", "fis-Moll", "do dièse mineur". Written together with their mode, so that no letter is
 * mistaken.
 */

/** A key with its mode, as two pieces of a brief. */
type KeyPieces = [{ slot: 'key'; value: string }, { slot: 'scale'; value: string }];

type MakePhrase<Made> = (pattern: string, means: (match: RegExpMatchArray) => KeyPieces) => Made;

/** German letters: b is B flat, h is B; -is is sharp, -es or -s flat. */
function germanKey(word: string): string {
  const [letter] = word;
  const rest = word.slice(1);
  if (word === 'b') return 'Bb';
  const name = letter === 'h' ? 'B' : letter.toUpperCase();
  return name + (rest === '' ? '' : rest === 'is' ? '#' : 'b');
}

const FRENCH: Readonly<Record<string, string>> = {
  do: 'C',
  ut: 'C',
  re: 'D',
  mi: 'E',
  fa: 'F',
  sol: 'G',
  la: 'A',
  si: 'B',
};

const frenchKey = (name: string, sign = '') => FRENCH[name] + (sign === '' ? '' : sign.startsWith('b') ? 'b' : '#');

const inMode = (key: string, major: boolean): KeyPieces => [
  { slot: 'key', value: key },
  { slot: 'scale', value: major ? 'major' : 'minor' },
];

/** @param phrase makes a phrase out of a pattern and its meaning */
export function foreignKeys<Made>(phrase: MakePhrase<Made>): Made[] {
  return [
    phrase('([a-h](?:is|es|s)?) (dur|moll)', (m) => inMode(germanKey(m[1]), m[2] === 'dur')),
    phrase('(do|ut|re|mi|fa|sol|la|si)(?: (diese|bemol))? (majeur|mineur)', (m) =>
      inMode(frenchKey(m[1], m[2]), m[3] === 'majeur'),
    ),
  ];
}
