import { xmlNote, xmlOpening, xmlScore } from './files';

/** A quarter where a division is one. */
export const quarter = (step: string, octave = 4, more = '') => xmlNote({ step, octave, duration: 1, more });

/** Files as other programs write them: each differs in what the format leaves free. */
export const VARIANTS: readonly (readonly [
  name: string,
  file: string,
  notes: readonly (readonly [string, number])[],
  left: readonly string[],
])[] = [
  [
    'large divisions, no types, no voices',
    xmlScore([
      {
        name: 'Geige',
        measures: [
          `${xmlOpening(10080)}${xmlNote({ step: 'A', duration: 10080 })}${xmlNote({ step: 'B', duration: 3360 })}`.replaceAll(
            '<voice>1</voice>',
            '',
          ),
        ],
      },
    ]),
    [
      ['A4', 1],
      ['B4', 1 / 3],
    ],
    [],
  ],
  [
    'divisions that change on the way',
    xmlScore([
      {
        name: 'Violon',
        measures: [
          `${xmlOpening(1)}${quarter('A')}<attributes><divisions>4</divisions></attributes>${xmlNote({ step: 'B', duration: 2 })}`,
        ],
      },
    ]),
    [
      ['A4', 1],
      ['B4', 0.5],
    ],
    [],
  ],
  [
    'two voices with backup and forward',
    xmlScore([
      {
        name: 'Violin I',
        measures: [
          `${xmlOpening(2)}${xmlNote({ step: 'E', octave: 5, duration: 4 })}${xmlNote({ step: 'F', octave: 5, duration: 4 })}<backup><duration>8</duration></backup><forward><duration>2</duration><voice>2</voice></forward>${xmlNote({ step: 'C', duration: 2, voice: '2' })}`,
        ],
      },
    ]),
    [
      ['E5', 2],
      ['F5', 2],
    ],
    ['other-voices'],
  ],
  [
    'a transposing clarinet, brought in for a violin',
    xmlScore([
      {
        name: 'Clarinet in B flat',
        measures: [
          `${xmlOpening(1, 4, 4, '<transpose><diatonic>-1</diatonic><chromatic>-2</chromatic></transpose>')}${quarter('D', 5)}`,
        ],
      },
    ]),
    [['C5', 1]],
    [],
  ],
  [
    'grace notes, cue notes, lyrics, dynamics and articulations',
    xmlScore([
      {
        name: 'Viola',
        measures: [
          `${xmlOpening(1)}<direction><direction-type><dynamics><p/></dynamics></direction-type></direction><note><grace/><pitch><step>G</step><octave>4</octave></pitch></note>${quarter('A', 4, '<notations><articulations><tenuto/></articulations></notations><lyric><text>la</text></lyric>')}<note><cue/><pitch><step>B</step><octave>4</octave></pitch><duration>1</duration></note>${quarter('C')}`,
        ],
      },
    ]),
    [
      ['A4', 1],
      ['-', 1],
      ['C4', 1],
    ],
    ['dynamics', 'grace-notes', 'cue-notes', 'lyrics', 'articulations'],
  ],
  [
    'chords in any order, with two fingers on the first note',
    xmlScore([
      {
        name: 'Vln.',
        measures: [
          `${xmlOpening(1)}${quarter('F', 5, '<notations><technical><fingering>3</fingering><fingering>1</fingering></technical></notations>')}${xmlNote({ step: 'A', duration: 1, before: '<chord/>' })}`,
        ],
      },
    ]),
    [['A4+F5', 1]],
    ['other-fingers'],
  ],
  [
    'repeats, endings and words over the staff',
    xmlScore([
      {
        name: 'Violoncello',
        measures: [
          `${xmlOpening(1)}<barline location="left"><repeat direction="forward"/></barline><direction><direction-type><words>dolce</words></direction-type></direction>${quarter('C', 3)}<barline location="right"><ending number="1" type="start"/><repeat direction="backward"/></barline>`,
        ],
      },
    ]),
    [['C3', 1]],
    ['repeats', 'words', 'endings'],
  ],
  [
    'ties by the notation alone, over a bar line',
    xmlScore([
      {
        name: 'Kontrabass',
        measures: [
          `${xmlOpening(1, 2, 4)}${quarter('E', 2)}${quarter('F', 2, '<notations><tied type="start"/></notations>')}`,
          quarter('F', 2, '<notations><tied type="stop"/></notations>') + quarter('G', 2),
        ],
      },
    ]),
    [
      ['E2', 1],
      ['F2', 2],
      ['G2', 1],
    ],
    [],
  ],
  [
    'quarter tones, three sharps and a key without a signature',
    xmlScore([
      {
        name: 'Violin',
        measures: [
          `<attributes><divisions>1</divisions><key><key-step>F</key-step><key-alter>0.5</key-alter></key></attributes>${xmlNote({ step: 'A', alter: 0.5, duration: 1 })}${xmlNote({ step: 'F', alter: 3, duration: 1 })}`,
        ],
      },
    ]),
    [
      ['A#4', 1],
      ['G#4', 1],
    ],
    ['odd-keys', 'quarter-tones'],
  ],
  [
    'notes that overlap in one voice, and a rest for a whole bar',
    xmlScore([
      {
        name: 'violini',
        measures: [
          `${xmlOpening(1)}${xmlNote({ step: 'A', duration: 3 })}<backup><duration>1</duration></backup>${xmlNote({ step: 'B', duration: 2 })}`,
          '<note><rest measure="yes"/><duration>4</duration></note>',
        ],
      },
    ]),
    [
      ['A4', 2],
      ['B4', 2],
      ['-', 4],
    ],
    ['overlaps'],
  ],
  [
    'an open string and a thumb by their own signs, a bow',
    xmlScore([
      {
        name: 'Cello solo',
        measures: [
          `${xmlOpening(1)}${quarter('A', 3, '<notations><technical><open-string/><up-bow/></technical></notations>')}${quarter('A', 4, '<notations><technical><thumb-position/></technical></notations>')}`,
        ],
      },
    ]),
    [
      ['A3', 1],
      ['A4', 1],
    ],
    [],
  ],
  [
    'windows line ends, a mark at the beginning and cdata',
    `\ufeff${xmlScore([{ name: '<![CDATA[Violin & friends]]>', measures: [`${xmlOpening(1)}\r\n${quarter('D')}`] }])}`,
    [['D4', 1]],
    [],
  ],
];
