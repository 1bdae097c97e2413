/** Where tokens and styles are named, and other ones in their place. */
import { collectionOf, entitiesOf, listedCollections } from '../collections/catalogue.ts';
import type { Use } from '../collections/collection.ts';
import { styleKey } from '../document/style-set.ts';
import { locationsIn } from '../document/tree.ts';
import { inForce, type Project } from '../document/types.ts';
import { changing, dropping } from './entities.ts';
import type { Step } from './step.ts';

const marked = (key: string): string => `${key}_`;

/** Who names a token. */
export interface TokenUsers {
  /** Values of controls. */
  readonly controls: readonly Use[];
  /** Styles and other tokens, by what they are told apart by. */
  readonly entities: readonly { readonly of: string; readonly key: string }[];
}

/** All that names a token: values of controls, styles, other tokens. */
export function usersOfToken(project: Project, path: string): TokenUsers {
  const collection = collectionOf('tokens');
  const entities = listedCollections().flatMap((each) =>
    entitiesOf(project, each).flatMap((entity) =>
      (collection.inEntity?.(each.id, entity, path, marked(path)) ?? entity) === entity
        ? []
        : [{ of: each.id, key: each.keyOf(entity) }],
    ),
  );
  return { controls: collection.uses(project, path), entities };
}

/** How many values name a token: of controls, of styles, of other tokens. */
export function usesOfToken(project: Project, path: string): number {
  const { controls, entities } = usersOfToken(project, path);
  return controls.length + entities.length;
}

/** How many controls name a style. */
export const usesOfStyle = (project: Project, name: string): number =>
  collectionOf('styles').uses(project, styleKey({ name, props: {} })).length;

/** Another token takes the place of one wherever it is named, and the one goes. */
export function withToken(project: Project, path: string, instead: string): Step[] {
  const collection = collectionOf('tokens');
  const changes = listedCollections().flatMap((each) =>
    entitiesOf(project, each).flatMap((entity) => {
      const next = collection.inEntity?.(each.id, entity, path, instead) ?? entity;
      return next === entity ? [] : changing(each.id, entity, next);
    }),
  );
  const sets = collection.uses(project, path).flatMap(({ screen, control, attribute }): Step[] => {
    const held = locationsIn(screen).get(control.id)?.control ?? control;
    const text = inForce(held.props[attribute]);
    if (text === undefined || !collection.inAttribute) return [];
    const [, value] = collection.inAttribute(held, [attribute, text], path, instead, project);
    return [{ type: 'set', control: control.id, property: attribute, value }];
  });
  const token = project.tokens?.find((each) => each.path === path);
  return [...changes, ...sets, ...(token ? [dropping('tokens', token)] : [])];
}
