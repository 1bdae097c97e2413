/** Random screens with motions: keys of random controls at random times, with random easings. */
import { type Control, effectiveNames, kindOf, type Project, walk } from '@hovrin/core';
import { Chance, randomScreen, trialProject } from './documents.ts';

/** Values that a key may hold, some for each property, so that neighbours blend or do not. */
const values: readonly (readonly [attribute: string, texts: readonly string[]])[] = [
  ['width', ['120', '212.5', '80', '50%', '30%', 'share', 'share 3', 'fit']],
  ['height', ['60', '141.3', '25%', 'fit']],
  ['min-width', ['20', '140']],
  ['max-height', ['300', '40']],
  ['padding', ['4', '18 9', '1 2 3 25']],
  ['margin', ['-4', '12', '0 3 7 20']],
  ['gap', ['3', '22', '9 1.5']],
  ['row-gap', ['0', '31']],
  ['border-width', ['1', '6', '0 4 2 1']],
  ['size', ['13', '24.5', '18']],
  ['letter-spacing', ['0', '2.25']],
  ['line-height', ['1.2', '1.9']],
  ['weight', ['400', '700']],
  ['left', ['4', '60', '20%', '55%']],
  ['top', ['0', '33', '12%']],
  ['center-x', ['-20', '31.5']],
  ['opacity', ['0', '0.4', '1']],
  ['rotate', ['0', '45', '-200']],
  ['scale', ['0.5', '1', '1.7']],
  ['shift', ['0 0', '40 -12.5', '50% 10%']],
  ['corner', ['0', '22']],
  ['background', ['tint', '#c04010', 'rgb(10 20 30 / 0.4)', 'none']],
  ['z', ['1', '4']],
  ['uppercase', ['true', 'false']],
];

const placing = new Set(['width', 'height', 'margin', 'left', 'top', 'center-x']);

export const easings = [
  'linear',
  'ease',
  'ease-in',
  'ease-out',
  'cubic-bezier(0.3, 0, 0.2, 1.4)',
  'cubic-bezier(0.5, -0.8, 0.1, 0.4)',
  'steps(3)',
  'steps(2, jump-both)',
  'linear(0, 0.6 20%, 0.3 70%, 1)',
  'bounce',
];

const times = ['0', '10%', '25%', '0.7', '50%', '1.1', '80%', '100%'];

/** Keys of one control: for each of some properties a few, in any order. */
function keysOf(
  chance: Chance,
  control: Control,
  inPins: boolean,
  name: string,
  newId: () => string,
): Control[] {
  const kind = kindOf(control);
  const able = values.filter(([attribute]) => kind.properties.some((each) => each.name === attribute));
  // At pins a size follows from pins and margins together: of these a page moves one at a time.
  const place = inPins ? chance.one([...placing]) : undefined;
  return able
    .filter(([attribute]) => chance.of(0.16) && (!inPins || !placing.has(attribute) || attribute === place))
    .flatMap(([attribute, texts]) =>
      Array.from(
        { length: chance.whole(1, 4) },
        (): Control => ({
          id: newId(),
          kind: 'key',
          props: {
            control: name,
            at: chance.one(times),
            ...(chance.of(0.7) ? { ease: chance.one(easings) } : {}),
            [attribute]: chance.one(texts),
          },
          children: [],
        }),
      ),
    );
}

/** A random screen with a motion `drift`, which plays from the beginning. */
export function movingProject(seed: number): Project {
  const chance = new Chance(seed * 7 + 3);
  const screen = randomScreen(seed);
  const names = effectiveNames(screen);
  let last = 0;
  const newId = () => `key${last++}`;
  const pinned = new Set(
    [...walk(screen)].flatMap(({ kind, children }) =>
      kind === 'pinboard' ? children.map(({ id }) => id) : [],
    ),
  );
  const keys = [...walk(screen)].flatMap((control) =>
    control === screen || !chance.of(0.5)
      ? []
      : keysOf(chance, control, pinned.has(control.id), names.get(control.id)!, newId),
  );
  const motion: Control = {
    id: 'motion0',
    kind: 'motion',
    props: {
      name: 'drift',
      seconds: '1.6',
      plays: '{true}',
      ...(chance.of(0.5) ? { repeat: chance.one(['2', '2.5', 'forever']) } : {}),
      ...(chance.of(0.4) ? { alternate: 'true' } : {}),
      ...(chance.of(0.3) ? { delay: '0.4' } : {}),
    },
    children: keys,
  };
  return trialProject({ ...screen, children: [motion, ...screen.children] });
}

/** Instants to look at, s: also between frames, behind the end, and before it begins. */
export const instants = [0, 0.11, 0.42, 0.83, 1.234, 1.6, 2.05, 3.19, 4.7, 9];
