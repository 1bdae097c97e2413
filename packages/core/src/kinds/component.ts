/**
 * What a component's file is made of: the component itself, what it declares, and its slots. None of them is laid out or
 * exported: instances of the component are, with its root in their place (`reuse/expand.ts`).
 */
import { choiceType } from '../property-types/choices.ts';
import { flagType, identifierType, textType } from '../property-types/index.ts';
import { arrangedContent } from './arrangement.ts';
import type { Kind, Property } from './kind.ts';
import { ignore, property } from './properties.ts';

/** What a value that an instance is given may be: the types of state variables, and what properties name. */
export const parameterTypes = [
  'text',
  'number',
  'boolean',
  'date',
  'list',
  'record',
  'colour',
  'icon',
  'picture',
  'screen',
] as const;
export type ParameterType = (typeof parameterTypes)[number];

/** What each instance may keep for itself: the types of state variables. */
export const ownVariableTypes = ['text', 'number', 'boolean', 'date', 'list', 'record'] as const;

const kept = { group: 'content', effect: 'behaviour', perBand: false } as const;
const said = { ...kept, plain: true } as const;

export const declaredName = property({
  ...said,
  name: 'name',
  label: 'Name',
  type: identifierType,
});
export const parameterType = property({
  ...said,
  name: 'type',
  label: 'Type',
  type: choiceType('parameter type', parameterTypes),
});
export const variableType = property({
  ...said,
  name: 'type',
  label: 'Type',
  type: choiceType('variable type', ownVariableTypes),
});
export const parameterChoices = property({ ...said, name: 'values', label: 'Values', type: textType });
/** As an attribute of an instance has it; an expression gives a list or record: `{['soup', 'bread']}`. */
export const initial = property({
  ...kept,
  name: 'initial',
  label: 'Initial',
  type: textType,
});
export const twoWay = property({ ...said, name: 'two-way', label: 'Two-way', type: flagType });
export const eventGives = property({ ...said, name: 'gives', label: 'Gives', type: identifierType });
export const isSurround = property({ ...said, name: 'surround', label: 'Surround', type: flagType });

/** No expression names a case, so any words may. */
const caseName = property({ ...said, name: declaredName.name, label: 'Name', type: textType });

/** Whether a kind's name is one of its attributes, in a room of its own: parameters and slots may be called like controls. */
export const hasDeclaredName = ({ properties }: Kind): boolean =>
  properties.includes(declaredName) || properties.includes(caseName);

/** What components, declarations, slots and motions have in common: they make no box and no element of their own. */
export const boxless = {
  group: 'arrange',
  findBy: [],
  events: [],
  starter: {},
  inside: (values) => ({ content: arrangedContent(values) }),
  element: () => ({ tag: 'div' }),
  css: () => '',
} satisfies Partial<Kind>;

/** A line of a component that says what it has. */
const declaration = (
  name: NonNullable<Kind['declares']>,
  label: string,
  purpose: string,
  glyph: string,
  properties: readonly Property[],
): Kind => ({
  ...boxless,
  name,
  label,
  purpose,
  glyph,
  container: false,
  declares: name,
  confines: { parents: ['component'] },
  properties: [declaredName, ...properties],
});

export const component: Kind = {
  ...boxless,
  name: 'component',
  label: 'Component',
  purpose: 'Something that is made once and stands in many places.',
  glyph: 'component',
  container: true,
  root: 'components',
  properties: [
    { ...said, name: 'title', label: 'Title', type: textType },
    { ...said, name: 'folder', label: 'Folder', type: textType },
    isSurround,
    ignore,
  ],
};

export const parameter = declaration(
  'parameter',
  'Parameter',
  'A value that each instance is given.',
  'sliders-horizontal',
  [parameterType, parameterChoices, initial, twoWay],
);

export const ownVariable = declaration(
  'variable',
  'Own variable',
  'A value that each instance keeps for itself.',
  'variable',
  [variableType, initial],
);

export const ownEvent = declaration('event', 'Event', 'Something that an instance tells.', 'zap', [
  eventGives,
]);

export const slot: Kind = {
  ...boxless,
  name: 'slot',
  label: 'Slot',
  purpose: 'Where what is put into an instance stands.',
  glyph: 'square-dashed',
  container: true,
  inComponents: true,
  properties: [declaredName],
};

/** Sample values that a component is looked at with: `<case name="late" with.hours="3" />`. Nothing of them is handed over. */
export const sampleCase: Kind = {
  ...declaration('case', 'Case', 'Sample values that the component is looked at with.', 'flask-conical', []),
  properties: [caseName],
  gives: 'with',
};

/** All of them, beside the kinds of controls. */
export const componentKinds: readonly Kind[] = [
  component,
  parameter,
  ownVariable,
  ownEvent,
  sampleCase,
  slot,
];
