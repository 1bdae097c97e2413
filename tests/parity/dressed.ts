/** Random screens with tokens, styles and states on top: what is said in layers comes to the same boxes on the page. */
import { type Control, kindNamed, type Project, type Style, type Token } from '@hovrin/core';
import { Chance, randomScreen, trialProject } from './documents.ts';

const px = (path: string, value: number, dark?: number): Token => ({
  path,
  type: 'dimension',
  value: { value, unit: 'px' },
  ...(dark === undefined ? {} : { dark: { value: dark, unit: 'px' } }),
});

const tokens: readonly Token[] = [
  px('space.s', 6),
  px('space.m', 14, 19),
  { path: 'space.l', type: 'dimension', value: '{space.m}' },
  px('dimension.field-height', 46),
  px('dimension.corner', 9),
  px('dimension.text-size', 17),
  px('dimension.cell-padding-inline', 5),
  { path: 'number.line-height', type: 'number', value: 1.5 },
  {
    path: 'typography.title',
    type: 'typography',
    value: {
      fontFamily: 'Zilla Slab',
      fontSize: { value: 23, unit: 'px' },
      fontWeight: 600,
      lineHeight: 1.3,
      letterSpacing: { value: 0.5, unit: 'px' },
    },
  },
];

/** Values that a style, or a control itself, may have. */
const values: readonly (readonly [attribute: string, text: string])[] = [
  ['padding', 'space.m'],
  ['padding', 'space.s space.l'],
  ['lap.padding', '3 space.m 8'],
  ['gap', 'space.s'],
  ['gap', 'space.m space.s'],
  ['width', 'share'],
  ['width', '180'],
  ['lap.width', 'fit'],
  ['height', '90'],
  ['min-width', 'space.l'],
  ['min-height', '60'],
  ['max-width', '260'],
  ['margin', '-3 space.s'],
  ['border-width', '2'],
  ['border-width', '1 3 0 2'],
  ['align-self', 'end'],
  ['align', 'center'],
  ['justify', 'end'],
  ['size', '21'],
  ['size', 'space.m'],
  ['weight', '700'],
  ['line-height', '1.8'],
  ['typography', 'title'],
  ['uppercase', 'true'],
  ['letter-spacing', '1.5'],
  ['portrait.padding', '11'],
  ['lap.gap', '21'],
  ['late.padding', '13'],
  ['late.size', '19'],
  ['late.width', '150'],
  ['lap.late.padding', '2'],
  ['calm.padding', '40'],
  ['disabled.padding', '17'],
  ['checked.padding', '5 9'],
  ['hidden', 'true'],
];

const some = (chance: Chance, often: number): Record<string, string> =>
  Object.fromEntries(values.filter(([name]) => chance.of(name === 'hidden' ? often / 20 : often)));

const styles = (chance: Chance): readonly Style[] => [
  { for: 'button', props: some(chance, 0.12) },
  { for: 'column', props: some(chance, 0.08) },
  { for: 'text', props: some(chance, 0.08) },
  ...['card', 'key', 'quiet'].map((name): Style => ({ name, props: some(chance, 0.15) })),
];

/** Gives some controls styles, values of tokens and states. */
function dress(control: Control, chance: Chance): Control {
  const kind = kindNamed(control.kind);
  const has = (name: string) => kind?.properties.some((property) => property.name === name) === true;
  const names = ['card', 'key', 'quiet'].filter(() => chance.of(0.25));
  const own = Object.entries(some(chance, 0.03)).filter(
    ([name]) => has(name.slice(name.lastIndexOf('.') + 1)) && !/disabled|checked/.test(name),
  );
  return {
    ...control,
    props: {
      ...control.props,
      ...Object.fromEntries(own),
      ...(has('style') && names.length > 0
        ? { style: chance.of(0.2) ? `{true ? '${names[0]}' : ''}` : names.join(' ') }
        : {}),
      ...(has('states') && chance.of(0.2)
        ? { states: chance.of(0.5) ? 'late: {1 < 2} | calm: {false}' : 'late: {false} | calm: {true}' }
        : {}),
      ...(has('disabled') && chance.of(0.2) ? { disabled: 'true' } : {}),
    },
    children: control.children.map((child) => dress(child, chance)),
  };
}

export function dressedProject(seed: number): Project {
  const chance = new Chance(seed * 7919);
  return {
    ...trialProject(dress(randomScreen(seed), chance)),
    tokens,
    styles: styles(chance),
  };
}
