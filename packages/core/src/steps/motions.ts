/** Steps about motions: new ones, keys, keys in other places, and what was done to a control as a key. */
import { readAttribute } from '../cascade/attributes.ts';
import { effectiveNames, freshName } from '../document/names.ts';
import { locate } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { declaredName } from '../kinds/component.ts';
import { keyControl, keyEase, keyedProperties, keyKind, keyTime, motionSeconds } from '../kinds/motion.ts';
import { said, timeOf } from '../motion/timeline.ts';
import { expectationOf } from './expectation.ts';
import type { Step } from './step.ts';

/** The motions of a screen or component, in their order. */
export const motionLines = ({ children }: Control): readonly Control[] =>
  children.filter((line) => kindOf(line).declares === 'motion');

/** A time of a motion as its keys say it: per cent, to a hundredth. @param part 0 to 1. */
export const timeText = (part: number): string =>
  `${Number((Math.min(1, Math.max(0, part)) * 100).toFixed(2))}%`;

/** A new motion, behind those that a screen or component has. @returns the step, and the id of the motion. */
export function newMotion(
  tree: Control,
  newId: () => string,
): { readonly steps: readonly Step[]; readonly id: string } {
  const taken = new Set(motionLines(tree).map(({ props }) => inForce(props[declaredName.name])));
  const name = taken.has('motion') ? freshName('motion', (each) => taken.has(each)) : 'motion';
  const id = newId();
  const last = tree.children.findLastIndex((line) => kindOf(line).declares);
  const control: Control = { id, kind: 'motion', props: { [declaredName.name]: name }, children: [] };
  return { id, steps: [{ type: 'insert', parent: tree.id, index: last + 1, control }] };
}

const setting = ({ id, props }: Control, property: string, value: string | null): Step => ({
  type: 'set',
  control: id,
  property,
  value,
  was: expectationOf(props[property]),
});

/** Values of a control at a time of a motion. */
export interface KeyWanted {
  /** The name of the control. */
  readonly control: string;
  /** Part of the motion, 0 to 1. */
  readonly at: number;
  /** Values by property. */
  readonly values: Readonly<Record<string, string>>;
}

/** The key that a motion has for a control at a time. */
const keyThere = (line: Control, { control, at }: Pick<KeyWanted, 'control' | 'at'>): Control | undefined => {
  const seconds = said(line, motionSeconds) ?? 1;
  return line.children.find(
    (key) => inForce(key.props[keyControl.name]) === control && Math.abs(timeOf(key, seconds) - at) < 0.0001,
  );
};

/** Says what a control is at a time: by the key that is there, or by a new one. */
export function keyed(line: Control, wanted: KeyWanted, newId: () => string): readonly Step[] {
  const there = keyThere(line, wanted);
  if (there) return Object.entries(wanted.values).map(([property, value]) => setting(there, property, value));
  const key: Control = {
    id: newId(),
    kind: keyKind,
    props: { [keyControl.name]: wanted.control, [keyTime.name]: timeText(wanted.at), ...wanted.values },
    children: [],
  };
  return [{ type: 'insert', parent: line.id, index: line.children.length, control: key }];
}

/** Keys at other times. @param to the part of the motion that each comes to stand at. */
export const retimed = (keys: readonly Control[], to: (key: Control) => number): readonly Step[] =>
  keys.flatMap((key) => {
    const text = timeText(to(key));
    return inForce(key.props[keyTime.name]) === text ? [] : [setting(key, keyTime.name, text)];
  });

/** Keys once more, at another time. @param by how much later, as a part of the motion. */
export function repeatedKeys(
  line: Control,
  keys: readonly Control[],
  by: number,
  newId: () => string,
): readonly Step[] {
  const seconds = said(line, motionSeconds) ?? 1;
  return keys.map((key, index) => ({
    type: 'insert',
    parent: line.id,
    index: line.children.length + index,
    control: {
      ...key,
      id: newId(),
      props: { ...key.props, [keyTime.name]: timeText(timeOf(key, seconds) + by) },
    },
  }));
}

/** How the value comes to a key. */
export const easedKeys = (keys: readonly Control[], ease: string | null): readonly Step[] =>
  keys.map((key) => setting(key, keyEase.name, ease));

/**
 * Steps as they are while a motion is recorded: what a key can say of a control of the same screen or component becomes a key at
 * the time; all else stays.
 */
export function recorded(
  project: Project,
  { line: id, at }: { readonly line: string; readonly at: number },
  steps: readonly Step[],
  newId: () => string,
): readonly Step[] {
  const found = locate(project, id);
  if (!found) return steps;
  const names = effectiveNames(found.screen);
  const wanted = new Map<string, Record<string, string>>();
  const others: Step[] = [];
  for (const step of steps) {
    const control = step.type === 'set' ? locate(project, step.control) : undefined;
    const meaning =
      step.type === 'set' && control && readAttribute(kindOf(control.control), step.property, project.bands);
    const isKeyed =
      step.type === 'set' &&
      typeof step.value === 'string' &&
      !hasExpression(step.value) &&
      control?.screen === found.screen &&
      typeof meaning === 'object' &&
      meaning.role === 'value' &&
      keyedProperties.some(({ name }) => name === meaning.property.name);
    const name = control && names.get(control.control.id);
    if (!isKeyed || name === undefined || typeof meaning !== 'object' || meaning.role !== 'value')
      others.push(step);
    else wanted.set(name, { ...wanted.get(name), [meaning.property.name]: step.value as string });
  }
  return [
    ...others,
    ...[...wanted].flatMap(([control, values]) => keyed(found.control, { control, at, values }, newId)),
  ];
}
