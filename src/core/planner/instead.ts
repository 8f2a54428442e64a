import { buildMusic } from '../material/build';
import { plannedMusic } from './begins';
import { midiOf, parsePitch, pitchName, type Pitch } from '../pitch/pitch';
import { resolveSetup } from '../instrument/setup';
import type { Instead, PlanRequest, Problem, RunSpec } from '../vocabulary';
import { requestWeights } from './cost';
import { requestIssues } from './issues';
import { bestPath, searchedFor } from './searched';

/*
 * What a teacher would do where a brief leaves no plan: one octave less, a neighbouring key, a lower or higher octave, another string, open strings, in
 * this order: what is left out of the same scale changes less than where it begins, and that less than what was demanded of the hand. Each yields a plan.
 */

/** Pieces offered at once. */
const MOST = 5;
/** Longer music is not planned over and over. */
const MOST_EVENTS = 400;

/** A request with a piece of it changed: what the piece names stands in the place of what was there. */
export function withPiece(request: PlanRequest, { material, rules }: Instead): PlanRequest {
  return {
    ...request,
    material: { ...request.material, ...material } as PlanRequest['material'],
    rules: rules ? { ...request.rules, ...rules } : request.rules,
  };
}

/** Problems, the first with what could be asked for instead. */
export function withInstead([first, ...others]: readonly Problem[], request: PlanRequest): Problem[] {
  const instead = insteadOf(request);
  return [instead.length > 0 ? { ...first, instead } : first, ...others];
}

/** Pieces of a request that would leave a plan, the least change first; none for long music. */
function insteadOf(request: PlanRequest): Instead[] {
  if (buildMusic(request.material).events.length > MOST_EVENTS) return [];
  const { material } = request;
  // Where the music can be played but for what was put at single notes, other music is no way out.
  if (atSingleNotes(request) && helps(withPiece(request, FREE))) return [];
  const single = material.type === 'notes' ? [] : ofMaterial(request, material);
  const found = [...single, ...ofRules(request)].flatMap((pieces) => firstThatHelps(request, pieces) ?? []);
  if (found.length > 0 || material.type === 'notes') return found.slice(0, MOST);
  // Where no single thing helps: one octave of it, somewhere else.
  const places = octavesAway(material).map((tonic) => piece(request, { octaves: 1, tonic }));
  const keys = neighbours(material).map((tonics) => tonics.map((tonic) => piece(request, { octaves: 1, tonic })));
  return [places, ...keys].flatMap((pieces) => firstThatHelps(request, pieces) ?? []).slice(0, MOST);
}

function firstThatHelps(request: PlanRequest, pieces: readonly Instead[]): Instead | null {
  return pieces.find((one) => helps(withPiece(request, one))) ?? null;
}

function helps(request: PlanRequest): boolean {
  if (requestIssues(request).length > 0) return false;
  return bestPath(searchedFor(request, plannedMusic(request).music, requestWeights(request))) !== null;
}

/** Nothing put at single notes. */
const FREE = { rules: { locks: [], never: [], places: [], same: [], prepare: [] } } as const satisfies Instead;

const atSingleNotes = ({ rules = {} }: PlanRequest) =>
  [rules.locks, rules.never, rules.places, rules.same, rules.prepare].some((list = []) => list.length > 0);

/** A change of the material; what was demanded of single notes goes with the notes. */
function piece(request: PlanRequest, material: NonNullable<Instead['material']>): Instead {
  return atSingleNotes(request) ? { material, ...FREE } : { material };
}

/** One kind of change each, the nearest of it first. */
function ofMaterial(request: PlanRequest, material: RunSpec): Instead[][] {
  const fewer = Array.from({ length: material.octaves - 1 }, (_, n) => ({ octaves: material.octaves - 1 - n }));
  return [
    fewer.map((part) => piece(request, part)),
    ...neighbours(material).map((tonics) => tonics.map((tonic) => piece(request, { tonic }))),
    octavesAway(material).map((tonic) => piece(request, { tonic })),
  ];
}

/** The two keys a fifth away, each near first and then an octave from there. */
function neighbours({ tonic }: RunSpec): string[][] {
  const dominant = [moved(tonic, -3, -5), moved(tonic, 4, 7)];
  const subdominant = [moved(tonic, 3, 5), moved(tonic, -4, -7)];
  return [dominant, subdominant].map((names) => names.flatMap((name) => name ?? []));
}

const octavesAway = ({ tonic }: RunSpec) => [moved(tonic, -7, -12), moved(tonic, 7, 12)].flatMap((name) => name ?? []);

/** A pitch so many letters and semitones away; null where its name would need two signs. */
function moved(name: string, letters: number, semitones: number): string | null {
  const from = parsePitch(name);
  if (!from) return null;
  const index = from.letter + letters;
  const plain: Pitch = { letter: ((index % 7) + 7) % 7, alteration: 0, octave: from.octave + Math.floor(index / 7) };
  const alteration = midiOf(from) + semitones - midiOf(plain);
  if (Math.abs(alteration) > 1) return null;
  const found = pitchName({ ...plain, alteration });
  return parsePitch(found) ? found : null;
}

/** Another string where one is demanded, the nearest first; open strings where they are forbidden. */
function ofRules(request: PlanRequest): Instead[][] {
  const { strings, openStrings } = request.rules ?? {};
  const names = resolveSetup(request).strings.map(({ name }) => name);
  const at = strings?.length === 1 ? names.indexOf(strings[0]) : -1;
  const others = names
    .filter((_, n) => n !== at)
    .sort((a, b) => Math.abs(names.indexOf(a) - at) - Math.abs(names.indexOf(b) - at));
  return [
    at >= 0 ? others.map((name) => ({ rules: { strings: [name] } })) : [],
    openStrings === 'never' ? [{ rules: { openStrings: 'avoid' as const } }] : [],
  ];
}
