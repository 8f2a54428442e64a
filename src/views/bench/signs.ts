import { keyAlteration, letterSteps, type InstrumentKind, type PlanResponse } from '../../core';
import { written } from '../../brief/clefs';
import { SIGNS, writtenFifths } from '../../ui/notation';

/**
 * For each event and voice the sign to write: where the note differs from the signature or from its letter's last sign. A sign holds to the
 * end of the bar; where no bars are drawn, until another is written.
 */
export function signsToShow(response: PlanResponse, instrument: InstrumentKind): (string | null)[][] {
  const key = { ...response.key, fifths: writtenFifths(response.key.fifths) };
  const inForce = new Map<number, number>();
  return response.events.map((event) => {
    if (event.bar) inForce.clear();
    if ('rest' in event) return [];
    return event.pitches.map((name) => {
      const pitch = written(name, instrument);
      const step = letterSteps(pitch);
      const expected = inForce.get(step) ?? keyAlteration(key, pitch.letter);
      inForce.set(step, pitch.alteration);
      return pitch.alteration === expected ? null : SIGNS[pitch.alteration];
    });
  });
}
