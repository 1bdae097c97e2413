/** Where tokens and styles are named, and other ones in their place. */
import { collectionOf, entitiesOf, listedCollections } from '../collections/catalogue.ts';
import { styleKey } from '../document/style-set.ts';
import { locationsIn } from '../document/tree.ts';
import { inForce, type Project } from '../document/types.ts';
import { changing, dropping } from './entities.ts';
import type { Step } from './step.ts';

const marked = (key: string): string => `${key}_`;

/** How many values name a token: of controls, of styles, of other tokens. */
export function usesOfToken(project: Project, path: string): number {
  const collection = collectionOf('tokens');
  const inEntities = listedCollections().flatMap((each) =>
    entitiesOf(project, each).filter(
      (entity) => (collection.inEntity?.(each.id, entity, path, marked(path)) ?? entity) !== entity,
    ),
  );
  return collection.uses(project, path).length + inEntities.length;
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
