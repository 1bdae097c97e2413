/** Making screens from data: controls with ids of their own, and names that expressions and screens can have. */
import { freshName } from '../document/names.ts';
import type { Control, Project } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import type { Step } from '../steps/step.ts';

/** A made screen, and all that it needs, as steps that are taken and taken back together. */
export interface Made {
  readonly screen: Control;
  readonly steps: readonly Step[];
}

/** Makes controls. */
export type Maker = (
  kind: string,
  name: string | undefined,
  props: Readonly<Record<string, string>>,
  children?: readonly Control[],
) => Control;

export const makerOf =
  (newId: () => string): Maker =>
  (kind, name, props, children = []) => ({
    id: newId(),
    kind,
    ...(name === undefined ? {} : { name }),
    props,
    children,
  });

/** A screen with a title on top, and what stands below it in one column in the middle. */
export const titledScreen = (
  make: Maker,
  name: string,
  title: string,
  { width, gap = '16' }: { readonly width: string; readonly gap?: string },
  children: readonly Control[],
): Control => {
  const text = escapeBraces(title);
  const page = { width: '100%', 'max-width': width, 'align-self': 'center', padding: '20 16', gap };
  return make('screen', name, { title: text }, [
    make('column', 'page', page, [make('heading', 'heading', { text, level: '1' }), ...children]),
  ]);
};

/** With a capital in front. */
export const capital = (name: string) => name.charAt(0).toUpperCase() + name.slice(1);

/** A name that JavaScript takes: what does not belong into one is left out. */
export const identifier = (name: string): string => {
  const joined = name
    .split(/[^\p{ID_Continue}]+/u)
    .filter(Boolean)
    .map((word, index) => (index === 0 ? word : capital(word)))
    .join('');
  return /^\p{ID_Start}/u.test(joined) ? joined : `field${capital(joined)}`;
};

/** The names of screens that are not taken. */
export const freeScreenName = (project: Project, wanted: string): string => {
  const taken = (name: string) => project.screens.some((screen) => screen.name === name);
  return taken(wanted) ? freshName(wanted, taken) : wanted;
};

/** A wanted name for a state variable; with a number where it is taken. */
export function freeStateName(taken: ReadonlySet<string>, wanted: string): string {
  return taken.has(wanted) ? freshName(wanted, (name) => taken.has(name)) : wanted;
}

/** The name of the list variable for a form's title: `Gear for hire` is kept in `gearForHire`. */
export function listName(title: string): string {
  const name = identifier(title);
  return name.charAt(0).toLowerCase() + name.slice(1);
}
