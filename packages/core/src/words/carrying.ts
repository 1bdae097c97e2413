/**
 * Translations follow what they are of. A text's key is its place: where a change puts a control on another screen, or puts
 * another one in front of those without names, its texts have other keys, and what is copied is translated like its original.
 */
import { group } from 'd3-array';
import type { Locale, Translation } from '../document/locale.ts';
import type { Project } from '../document/types.ts';
import { changing } from '../steps/entities.ts';
import { applySteps, type Step } from '../steps/step.ts';
import { type StandingWords, textsOf } from './places.ts';

type Strings = Readonly<Record<string, Translation>>;

/** Names a text by its control, which stays the same wherever that goes. */
const identityOf = ({ control, attribute, part = '' }: StandingWords): string =>
  `${control.id} ${attribute} ${part}`;

const standingIn = (project: Project): readonly StandingWords[] =>
  textsOf(project).flatMap((place) => (place.control ? place : []));

/** Names a text by all that a copy has from its original. */
const likeness = ({ control, attribute, part = '', text }: StandingWords): string =>
  JSON.stringify([control.kind, attribute, part, text]);

/** Keys that texts have after a change: of those that went elsewhere, and of new ones with what they may be copies of. */
interface Changed {
  readonly moved: readonly (readonly [from: string, to: string])[];
  readonly copied: readonly { readonly key: string; readonly of: readonly string[] }[];
}

function changedKeys(before: readonly StandingWords[], after: readonly StandingWords[]): Changed {
  const keys = new Map(before.map((place) => [identityOf(place), place.key]));
  const controls = new Set(before.map(({ control }) => control.id));
  const alike = group(before, likeness);
  const moved: [string, string][] = [];
  const copied: { key: string; of: string[] }[] = [];
  for (const place of after) {
    const was = keys.get(identityOf(place));
    if (was !== undefined && was !== place.key) moved.push([was, place.key]);
    if (controls.has(place.control.id)) continue;
    const originals = alike.get(likeness(place)) ?? [];
    if (originals.length > 0) copied.push({ key: place.key, of: originals.map(({ key }) => key) });
  }
  return { moved, copied };
}

/** The strings of a language after a change. @param before, @param after what the change itself makes of them. */
function carried(before: Strings, after: Strings, { moved, copied }: Changed): Strings {
  const strings: Record<string, Translation> = { ...after };
  // The change may have carried some along itself: these are not under their old keys any more.
  const open = moved.filter(([from]) => Object.hasOwn(before, from) && Object.hasOwn(after, from));
  for (const [from] of open) delete strings[from];
  for (const [from, to] of open) strings[to] = before[from]!;
  for (const { key, of } of copied) {
    const original = of.find((each) => before[each]?.text);
    if (original !== undefined && !Object.hasOwn(strings, key)) strings[key] = before[original]!;
  }
  return strings;
}

const stringsOf = ({ locales = [] }: Project, tag: string): Locale | undefined =>
  locales.find((locale) => locale.tag === tag);

/** The steps that a change needs besides its own, so that translations follow; none where no text has another key. */
export function translationsCarried(project: Project, steps: readonly Step[]): readonly Step[] {
  const locales = (project.locales ?? []).slice(1);
  if (locales.length === 0 || steps.every(({ type }) => type === 'set')) return [];
  const applied = applySteps(project, steps);
  if (!applied.ok) return [];
  const [before, after] = [standingIn(project), standingIn(applied.project)];
  const changed = changedKeys(before, after);
  if (changed.moved.length === 0 && changed.copied.length === 0) return [];
  return locales.flatMap(({ tag, strings = {} }) => {
    const now = stringsOf(applied.project, tag);
    if (!now) return [];
    const own = now.strings ?? {};
    return changing('locales', { ...now, strings: own }, { ...now, strings: carried(strings, own, changed) });
  });
}
