import {
  findingsOf,
  parsePitch,
  type Aim,
  type Findings,
  type Heard,
  type Plan,
  type PlanRequest,
  type PlanResponse,
  type WordedMeaning,
} from '../core';
import { checkWords, intervalName } from './checks';
import { cueWords, findingWords } from './findings';
import { sentence } from './grammar';
import type { Speech } from './plans';

/*
 * What a plan means, in words: the same at every door.
 */

/** The aim of the ear that a request asks for; what is left out is as on the page: pure fifths, a player in the middle. */
export function aimOf({ meaning = {} }: PlanRequest): Aim {
  const { intonation = 'pythagorean', strings = 'pure', level = 'middle', drone } = meaning;
  const low = parsePitch(drone ?? '');
  const system = typeof intonation === 'string' ? intonation : 'own';
  return {
    system,
    tuning: strings,
    level,
    ...(low ? { drone: low } : {}),
    ...(typeof intonation === 'string' ? {} : { table: intonation }),
  };
}

export function meaningOf(request: PlanRequest, response: PlanResponse, plan: Plan, speech: Speech): WordedMeaning {
  const findings = findingsOf(request, response, plan, aimOf(request));
  return {
    notes: plan.steps.map(({ at }) => noteMeaning(at, findings)),
    findings: findings.ranked.map((finding) => ({
      code: finding.kind,
      at: [...finding.events],
      ...(finding.also ? { also: finding.also.map((events) => [...events]) } : {}),
      weight: rounded(finding.weight, 2),
      message: findingWords(finding, findings.setup, speech),
    })),
    cues: findings.cues.map((one) => ({
      at: one.at,
      code: one.cue,
      fingers: [...one.fingers],
      message: cueWords(one, request.instrument),
    })),
  };
}

function noteMeaning(at: number, { heard, setup }: Findings): WordedMeaning['notes'][number] {
  const stops = heard.filter(({ note }) => note.at === at);
  const names = (strings: readonly number[]) => [...new Set(strings.map((string) => setup.strings[string].name))];
  const clear = names(stops.flatMap(({ ringing }) => ringing.clear));
  const faint = names(stops.flatMap(({ ringing }) => ringing.faint)).filter((name) => !clear.includes(name));
  return {
    at,
    stops: stops.map(({ target }) => ({
      cents: rounded(target.cents, 1),
      mm: rounded(target.awayMm, 1),
      toleranceCents: target.toleranceCents,
      toleranceMm: rounded(target.toleranceMm, 1),
    })),
    checks: stops.flatMap((one, stop) => checksOf(one, stop, setup)),
    rings: clear,
    faint,
  };
}

function checksOf({ note, checks }: Heard, stop: number, setup: Findings['setup']) {
  return checks.map((check) => ({
    stop,
    string: setup.strings[check.string].name,
    semitones: check.touch,
    interval: intervalName(check.interval),
    ratio: [...check.ratio] as [number, number],
    together: check.together,
    fits: check.fits,
    offCents: rounded(check.offCents, 1),
    beats: rounded(check.beats, 1),
    message: `${sentence(checkWords(check, note, setup))}.`,
  }));
}

function rounded(value: number, digits: number): number {
  const unit = 10 ** digits;
  return Math.round(value * unit) / unit + 0;
}
