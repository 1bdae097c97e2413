/** The rules of controls by media query and by state: what holds always, from each band up, by orientation, and in each state. */
import { orientations } from '../cascade/attributes.ts';
import { withStates } from '../cascade/cascade.ts';
import type { Declarations } from '../css/declarations.ts';
import type { Band } from '../document/types.ts';
import { entryOf } from '../sure.ts';
import type { Inside } from './layered-values.ts';
import type { Section } from './rule.ts';
import { asOne } from './sides.ts';

/** What must be said so that `after` holds where `before` held. What falls away goes back to the layers below. */
export function difference(
  before: Declarations,
  after: Declarations,
  always: ReadonlySet<string> = new Set(),
): Map<string, string> {
  const changed = new Map<string, string>();
  // What goes back comes first: a shorthand that falls away must not take its longhands with it.
  for (const name of [...before.keys(), ...always]) if (!after.has(name)) changed.set(name, 'revert-layer');
  for (const [name, value] of after)
    if (before.get(name) !== value || always.has(name)) changed.set(name, value);
  return changed;
}

/** A band and those that begin with it: the prefixes in force from there up, and its rules, by orientation too. */
interface Stage {
  readonly from: number;
  prefixes: readonly string[];
  readonly section: Section;
  readonly turned: ReadonlyMap<string, Section>;
}

function stageFrom(from: number, prefixes: readonly string[]): Stage {
  const wide = `(min-width: ${from}px)`;
  const turned = (orientation: string): Section => {
    const query = `(orientation: ${orientation})`;
    return { query: from === 0 ? query : `${query} and ${wide}`, rules: [] };
  };
  return {
    from,
    prefixes,
    section: { query: wide, rules: [] },
    turned: new Map(orientations.map((orientation) => [orientation, turned(orientation)])),
  };
}

export function stagesOf(bands: readonly Band[]): Stage[] {
  let last = stageFrom(0, ['']);
  const stages = [last];
  for (const { name, from } of bands.toSorted((a, b) => a.from - b.from)) {
    const prefixes = [...last.prefixes, `${name}.`];
    if (from === last.from) last.prefixes = prefixes;
    else {
      last = stageFrom(from, prefixes);
      stages.push(last);
    }
  }
  return stages;
}

/** The sections of rules that hold in one state; without a state: those that hold whatever state there is. */
interface StateSections {
  readonly state: string | undefined;
  readonly always: Section;
  readonly stages: readonly Stage[];
}

/** Declarations that win over what stands on an element itself. */
export const important = (css: Declarations): Declarations =>
  new Map([...css].map(([name, value]) => [name, `${value} !important`]));

/** All sections of a screen, or of a style, in the order in which they win over each other. */
export class RuleSections {
  private readonly byState: readonly StateSections[];

  /** @param states the states that anything in the project speaks of, the weakest first. */
  constructor(bands: readonly Band[], states: readonly string[]) {
    this.byState = [undefined, ...states].map((state) => ({
      state,
      always: { query: undefined, rules: [] },
      stages: stagesOf(bands),
    }));
  }

  get stages(): readonly Stage[] {
    return this.byState[0]?.stages ?? [];
  }

  /**
   * Adds what is said of a control.
   *
   * @param under what is said under some prefixes.
   * @param selectorIn the control's selector in a state; undefined where it has no such state.
   * @param written how declarations are written in a state.
   * @param asks the words in front of what is said of it: bands, orientations, states.
   */
  add(
    under: (prefixes: readonly string[]) => Inside,
    selectorIn: (state: string | undefined) => string | undefined,
    asks: ReadonlySet<string>,
    written: (css: Declarations, state: string | undefined) => Declarations = (css) => css,
  ): void {
    for (const { state, always, stages } of this.byState) {
      if (state !== undefined && !asks.has(state)) continue;
      const selector = selectorIn(state);
      if (selector === undefined) continue;
      const add = (section: Section, inside: string, css: Declarations) => {
        if (css.size > 0)
          section.rules.push({ selector: `${selector}${inside}`, css: written(asOne(css), state) });
      };
      const turnsOf = orientations.filter((orientation) => asks.has(orientation));
      if (state === undefined) plainly(under, { always, stages }, turnsOf, add);
      else inState(under, { state, always, stages }, turnsOf, add);
    }
  }

  list(): Section[] {
    return this.byState.flatMap(({ state, always, stages }) => [
      always,
      ...stages.filter((_, index) => state === undefined || index > 0).map(({ section }) => section),
      ...orientations.flatMap((orientation) => stages.map(({ turned }) => entryOf(turned, orientation))),
    ]);
  }
}

type Add = (section: Section, inside: string, css: Declarations) => void;
type Under = (prefixes: readonly string[]) => Inside;

const nothing: Declarations = new Map();

function plainly(
  under: Under,
  { always, stages }: Pick<StateSections, 'always' | 'stages'>,
  turns: readonly string[],
  add: Add,
): void {
  const staged = stages.map((stage) => ({ stage, css: under(stage.prefixes) }));
  for (const inside of new Set(staged.flatMap(({ css }) => [...css.keys()]))) {
    let before: Declarations | undefined;
    for (const { stage, css } of staged) {
      const now = css.get(inside) ?? nothing;
      if (before) add(stage.section, inside, difference(before, now));
      else add(always, inside, now);
      before = now;
    }
    for (const orientation of turns) {
      const touched = new Set<string>();
      for (const { stage, css } of staged) {
        const turned = under([...stage.prefixes, `${orientation}.`]).get(inside) ?? nothing;
        const changed = difference(css.get(inside) ?? nothing, turned, touched);
        for (const name of changed.keys()) touched.add(name);
        add(entryOf(stage.turned, orientation), inside, changed);
      }
    }
  }
}

/** What must be said in a state on top of what holds, where some was said in the state already. */
function onTop(
  base: Declarations,
  said: ReadonlyMap<string, string>,
  wanted: Declarations,
): Map<string, string> {
  const changed = new Map<string, string>();
  for (const name of new Set([...base.keys(), ...said.keys()]))
    if (!wanted.has(name) && said.get(name) !== 'revert-layer') changed.set(name, 'revert-layer');
  for (const [name, value] of wanted)
    if ((said.get(name) ?? base.get(name)) !== value) changed.set(name, value);
  return changed;
}

function inState(
  under: Under,
  { state, always, stages }: StateSections,
  turns: readonly string[],
  add: Add,
): void {
  const states = [state ?? ''];
  const insides = stages.flatMap(({ prefixes }) => [
    ...under(prefixes).keys(),
    ...under(withStates(prefixes, states)).keys(),
    ...turns.flatMap((turn) => [...under(withStates([...prefixes, `${turn}.`], states)).keys()]),
  ]);
  for (const inside of new Set(insides)) {
    let said: ReadonlyMap<string, string> = new Map();
    const saidAt = stages.map(({ prefixes, section }, index) => {
      const base = under(prefixes).get(inside) ?? nothing;
      const wanted = under(withStates(prefixes, states)).get(inside) ?? nothing;
      const changed = onTop(base, said, wanted);
      add(index === 0 ? always : section, inside, changed);
      said = new Map([...said, ...changed]);
      return said;
    });
    for (const orientation of turns) {
      let turnedSaid: ReadonlyMap<string, string> = new Map();
      for (const [index, { prefixes, turned }] of stages.entries()) {
        const all = [...prefixes, `${orientation}.`];
        const before = new Map([...(saidAt[index] ?? nothing), ...turnedSaid]);
        const base = under(all).get(inside) ?? nothing;
        const wanted = under(withStates(all, states)).get(inside) ?? nothing;
        const changed = onTop(base, before, wanted);
        add(entryOf(turned, orientation), inside, changed);
        turnedSaid = new Map([...turnedSaid, ...changed]);
      }
    }
  }
}
