/*
 * The closed lists about practice.
 */

/** What a repetition was, at the place that is judged. */
export const HEARD = ['low', 'in', 'high', 'missed'] as const;
export type HeardAs = (typeof HEARD)[number];

export const LEAST_BPM = 20;
export const MOST_BPM = 300;

/** What a passage grows by. */
export const GROWING_UNITS = ['bar', 'two-bars', 'group', 'note-from-end'] as const;
