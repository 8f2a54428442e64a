/*
 * Words of the craft to which this program gives a meaning of its own, each in a sentence or two.
 */

export const HELP = {
  way: 'A way is another fingering of the same music. Each is the best plan under one more demand, such as “without open strings”, and says what it buys and what it costs beside the best plan.',
  finding:
    'A finding is a place in this plan that deserves attention for this student: a shift, a stretch, a finger that must be placed again, a note nothing checks. The weightiest comes first.',
  'finger pattern':
    'A finger pattern is how the four fingers lie on one string while the hand stays: which touch, a semitone apart, and which are a tone or more apart.',
  comma:
    'A comma is the small gap, about 21 cents, between two true places of one note: tuned by fifths it is higher or lower than tuned by thirds. Which one is right depends on what sounds with it.',
  ringing:
    'A ringing note makes an open string sound along when it is quite in tune, because the string has the same note or one of its overtones.',
  singing:
    'Singing style stays on one string as long as it can, for an even colour, and takes shifts for it. Secure style, the usual one, stays low and shifts as little as it can.',
  'early music': 'The style of early music stays low, uses open strings freely and avoids slides.',
} as const;

export type HelpWord = keyof typeof HELP;
