import { taughtKeys, goalAsked, knownIn, pathOver, plannedStep, stepsToPlan } from '../src/core/path';
import type { PathAsk } from '../src/core';
import { demoStudio } from '../src/store/demoStudio';
import * as measuringText from '../src/wording/rooms/measuring';

/*
 * The paths of the made-up students: how long the steps take to be planned the first time, and the path once they are.
 */

const TURNS = 5;

/** Processor time of some work, in ms, and what came of it. */
function cpuMs<T>(work: () => T): readonly [ms: number, made: T] {
  const before = process.cpuUsage();
  const made = work();
  const { user, system } = process.cpuUsage(before);
  return [(user + system) / 1000, made];
}

export function benchPath() {
  const rows = demoStudio(0).students.flatMap(({ name, plays, level, path }) => {
    const goal = path?.goal;
    if (!path || !goal || goal.kind === 'plan') return [];
    const ask: PathAsk = {
      student: { ...plays, meaning: { level } },
      known: path.words.flatMap(({ skill, has }) => (has ? [skill] : [])),
      goal:
        goal.kind === 'position'
          ? { position: goal.position }
          : { scales: 'major', octaves: goal.octaves, keys: [...taughtKeys(level)] },
      ...(path.order ? { order: path.order } : {}),
    };
    const found = goalAsked(ask);
    const requests = stepsToPlan(ask, found);
    const [first, pool] = cpuMs(() => requests.flatMap((request) => plannedStep(request) ?? []));
    const known = knownIn(ask);
    const times = Array.from({ length: TURNS }, () => cpuMs(() => pathOver(ask, found, pool, known)));
    const [, best] = times[0];
    return [
      {
        student: `${name}, ${plays.instrument}`,
        requests: requests.length,
        'can be played': pool.length,
        'CPU s the first time': (first / 1000).toFixed(1),
        'CPU ms a path': Math.round(times.map(([ms]) => ms).sort((a, b) => a - b)[TURNS >> 1]),
        steps: best.steps.length,
        'of them several new': best.steps.filter((step) => step.new.length > 1).length,
        proved: best.provedBest,
      },
    ];
  });
  console.log(measuringText.pathsOfStudents);
  console.table(rows);
}
