import type { PlanRequest } from '../core';
import { newRecord, type PlanRecord } from './records';

/** The made-up studio "Quayside String Room": what its teacher has on the stand this week. */
const DEMO: readonly { readonly name: string; readonly request: PlanRequest }[] = [
  {
    name: 'Wren: E flat major, two octaves',
    request: {
      instrument: 'violin',
      style: 'secure',
      material: { type: 'scale', tonic: 'Eb4', scale: 'major', octaves: 2, direction: 'updown' },
      rules: { positions: { from: 1, to: 3 } },
    },
  },
  {
    name: 'Pip: A major in first position',
    request: {
      instrument: 'violin',
      size: '1/2',
      hand: 'small',
      style: 'early',
      material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
      rules: { positions: { from: 1, to: 1 } },
    },
  },
  {
    name: 'Marlow: A flat major without open strings',
    request: {
      instrument: 'viola',
      size: '15.5',
      style: 'singing',
      material: { type: 'scale', tonic: 'Ab3', scale: 'major', octaves: 2, direction: 'updown' },
      rules: { openStrings: 'never' },
    },
  },
  {
    name: 'Wren: F sharp minor arpeggio',
    request: {
      instrument: 'violin',
      style: 'secure',
      material: { type: 'arpeggio', tonic: 'F#4', chord: 'minor', octaves: 2, direction: 'updown' },
    },
  },
  {
    name: 'Juno: D major into thumb position',
    request: {
      instrument: 'cello',
      style: 'secure',
      material: { type: 'scale', tonic: 'D2', scale: 'major', octaves: 4, direction: 'updown' },
    },
  },
  {
    name: 'Otis: F major, two octaves',
    request: {
      instrument: 'bass',
      size: '3/4',
      school: 'one-two-four',
      style: 'secure',
      material: { type: 'scale', tonic: 'F1', scale: 'major', octaves: 2, direction: 'updown' },
    },
  },
  {
    name: 'Wren: D major in thirds',
    request: {
      instrument: 'violin',
      style: 'secure',
      material: {
        type: 'double-stops',
        interval: 'third',
        tonic: 'D4',
        scale: 'major',
        octaves: 1,
        direction: 'updown',
      },
    },
  },
];

export function demoPlans(now: number): PlanRecord[] {
  return DEMO.map(({ name, request }, at) => newRecord(request, now - at * 60_000, name));
}
