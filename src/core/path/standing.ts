/*
 * Where a student stands with each skill: new, at work, known, shaky; each with its evidence.
 */

/** A plan of the student, with what its fingering as it is practised asks. */
export interface PlanSkills {
  readonly planId: string;
  readonly skills: readonly { readonly id: string; readonly at: readonly number[] }[];
  /** Beats a minute that it is to be clean at; any tempo where nothing is said. */
  readonly goalBpm?: number;
  /** True where it is assigned. */
  readonly assigned: boolean;
}

/** A day on which a plan was practised. */
interface PlanDayDone {
  readonly day: string;
  readonly planId: string;
  /** The fastest tempo at which the whole of it was clean. */
  readonly reached?: number;
}

/** A judged repetition of a plan. */
export interface Tried {
  readonly planId: string;
  readonly at: number;
  readonly from: number;
  readonly to: number;
  readonly clean: boolean;
  /** The event that was off; null where none was, or nobody says which. */
  readonly place: number | null;
}

/** The teacher's word about a skill. */
interface Said {
  readonly skill: string;
  readonly has: boolean;
}

type Standing = 'at-work' | 'known' | 'shaky';

export interface SkillStanding {
  readonly id: string;
  readonly standing: Standing;
  /** True where it is the teacher's word. */
  readonly said: boolean;
  /** Days on which a plan that has it was clean at its goal. */
  readonly cleanDays: number;
  /** Of its last judged tries so many were off. */
  readonly off: number;
  readonly tries: number;
  /** The plans that have it. */
  readonly plans: readonly string[];
}

/** Known after so many days. */
const DAYS_TO_KNOW = 3;
/** Of so many tries, so many off make it shaky; so many clean running make it known again. */
const LAST_TRIES = 10;
const OFF_TO_SHAKE = 3;
const CLEAN_TO_STEADY = 5;
/** Tries longer ago say nothing of today, in ms. */
const TRIES_SINCE = 60 * 86_400_000;

interface Given {
  readonly plans: readonly PlanSkills[];
  readonly days: readonly PlanDayDone[];
  readonly tried: readonly Tried[];
  readonly said: readonly Said[];
  readonly now: number;
}

/** Every skill that is not new, by its id. What is not among them is new. */
export function standingOf({ plans, days, tried, said, now }: Given): SkillStanding[] {
  const words = new Map(said.map(({ skill, has }) => [skill, has]));
  const having = new Map<string, PlanSkills[]>();
  for (const plan of plans) for (const { id } of plan.skills) having.set(id, [...(having.get(id) ?? []), plan]);
  const practised = new Set(days.map(({ planId }) => planId));
  const cleanDays = (own: readonly PlanSkills[]) => {
    const goals = new Map(own.map(({ planId, goalBpm = 1 }) => [planId, goalBpm]));
    return new Set(
      days.flatMap(({ day, planId, reached = 0 }) => (reached >= (goals.get(planId) ?? Infinity) ? [day] : [])),
    ).size;
  };
  const late = tried.filter(({ at }) => now - at <= TRIES_SINCE).sort((a, b) => a.at - b.at);
  const ids = new Set([...having.keys(), ...said.flatMap(({ skill, has }) => (has ? [skill] : []))]);
  return [...ids].flatMap((id): SkillStanding[] => {
    const own = having.get(id) ?? [];
    const clean = cleanDays(own);
    const tries = triesOf(id, own, late);
    const last = tries.slice(-LAST_TRIES);
    const off = last.filter((one) => !one).length;
    const word = words.get(id);
    const known = word ?? clean >= DAYS_TO_KNOW;
    const worked = own.some(({ planId, assigned }) => assigned || practised.has(planId));
    if (!known && !worked) return [];
    const steady = last.slice(-CLEAN_TO_STEADY);
    const shakes = off >= OFF_TO_SHAKE && !(steady.length === CLEAN_TO_STEADY && steady.every(Boolean));
    const standing = !known ? 'at-work' : shakes ? 'shaky' : 'known';
    const said = word !== undefined;
    return [{ id, standing, said, cleanDays: clean, off, tries: last.length, plans: own.map(({ planId }) => planId) }];
  });
}

/** Skills that no note of a plan has by itself: they are judged by the whole of it. */
const OF_THE_WHOLE = /^(signature|bow)/;

/** The judged tries at places that show a skill, in order: true where it was clean. */
function triesOf(id: string, plans: readonly PlanSkills[], tried: readonly Tried[]): boolean[] {
  const places = new Map(
    plans.map(({ planId, skills }) => [planId, new Set(skills.find((skill) => skill.id === id)?.at ?? [])]),
  );
  return tried.flatMap(({ planId, from, to, clean, place }): boolean[] => {
    const own = places.get(planId);
    if (!own) return [];
    if (OF_THE_WHOLE.test(id)) return [clean];
    const judged = [...own].filter((at) => at >= from && at <= to);
    if (judged.length === 0) return [];
    if (clean) return [true];
    // Of a passage the first slip is named: what comes before it was in, of what comes after it nothing is said.
    if (place === null) return [];
    if (own.has(place)) return [false];
    return judged.some((at) => at < place) ? [true] : [];
  });
}
