/**
 * Instances of components. Of the component only its name is known here: what it has besides size and place, its
 * parameters and events, is known where the project is (`reuse/instance-kinds.ts`).
 */
import { isComponentName } from '../document/names.ts';
import { textType } from '../property-types/index.ts';
import { arrangedContent } from './arrangement.ts';
import type { Kind, Property } from './kind.ts';
import { ownStates, placing, sizing, transition } from './properties.ts';

/** What every instance has: its size, its place in its parent, its styles. States are its component's own. */
export const ofEveryInstance: readonly Property[] = [
  ...sizing,
  ...placing().filter((property) => property !== ownStates && property !== transition),
];

const made = new Map<string, Kind>();

/** The kind of the instances of a component; undefined where no component can have that name. */
export function instanceKind(name: string): Kind | undefined {
  const known = made.get(name);
  if (known || !isComponentName(name)) return known;
  const kind: Kind = {
    name,
    label: name,
    group: 'arrange',
    purpose: 'An instance of a component.',
    glyph: 'component',
    findBy: [],
    container: true,
    open: true,
    properties: ofEveryInstance,
    events: [],
    starter: {},
    inside: (values) => ({ content: arrangedContent(values) }),
    element: () => ({ tag: 'div' }),
    css: () => '',
  };
  made.set(name, kind);
  return kind;
}

/** A parameter as an instance has it, as long as nothing is known of the component. */
export const unknownParameter = (name: string): Property => ({
  name,
  label: name,
  group: 'content',
  type: textType,
  effect: 'layout',
  perBand: false,
  twoWay: ['text', 'number', 'boolean', 'date', 'list', 'record'],
});
