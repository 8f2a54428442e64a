/** What is to be played, in the shape of the planning contract. Pitches are sounding ones. */
export type Direction = 'up' | 'down' | 'updown';

export interface ScaleSpec {
  readonly type: 'scale';
  readonly tonic: string;
  readonly scale: string;
  readonly octaves: number;
  readonly direction: Direction;
}

export interface ArpeggioSpec {
  readonly type: 'arpeggio';
  readonly tonic: string;
  readonly chord: string;
  readonly octaves: number;
  readonly direction: Direction;
}

export interface BrokenThirdsSpec {
  readonly type: 'broken-thirds';
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

export type NoteSpec =
  | { readonly pitches: readonly string[]; readonly beats?: number }
  | { readonly rest: true; readonly beats?: number };

export interface NotesSpec {
  readonly type: 'notes';
  readonly key?: string;
  readonly notes: readonly NoteSpec[];
}

export type MaterialSpec = ScaleSpec | ArpeggioSpec | BrokenThirdsSpec | DoubleStopsSpec | NotesSpec;
