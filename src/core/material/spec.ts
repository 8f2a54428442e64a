/** What is to be played, in the shape of the planning contract. Pitches are sounding ones. */
export type Direction = 'up' | 'down' | 'updown';

export interface ScaleSpec {
  readonly type: 'scale';
  readonly tonic: string;
  readonly scale: string;
  readonly octaves: number;
  readonly direction: Direction;
}

/** How an arpeggio runs: straight through, or in groups of three that climb a chord note at a time (1 3 5, 3 5 8, 5 8 10 …). */
export type ArpeggioFigure = 'straight' | 'in-threes';

export interface ArpeggioSpec {
  readonly type: 'arpeggio';
  readonly figure?: ArpeggioFigure;
  readonly tonic: string;
  readonly chord: string;
  readonly octaves: number;
  readonly direction: Direction;
}

/** Each note followed by the one a third, fourth or sixth above it. */
export interface BrokenSpec {
  readonly type: 'broken-thirds' | 'broken-fourths' | 'broken-sixths';
  readonly tonic: string;
  readonly scale: string;
  readonly octaves: number;
  readonly direction: Direction;
}

export type DoubleStopInterval = 'third' | 'sixth' | 'octave' | 'fingered-octave' | 'tenth';

export interface DoubleStopsSpec {
  readonly type: 'double-stops';
  readonly interval: DoubleStopInterval;
  readonly tonic: string;
  readonly scale: string;
  readonly octaves: number;
  readonly direction: Direction;
}

/** `bar`: a bar line stands before it. */
export type NoteSpec =
  | { readonly pitches: readonly string[]; readonly beats?: number; readonly bar?: true }
  | { readonly rest: true; readonly beats?: number; readonly bar?: true };

export interface NotesSpec {
  readonly type: 'notes';
  readonly key?: string;
  readonly notes: readonly NoteSpec[];
}

export type MaterialSpec = ScaleSpec | ArpeggioSpec | BrokenSpec | DoubleStopsSpec | NotesSpec;
