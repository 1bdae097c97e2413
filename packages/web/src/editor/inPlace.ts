/** Components that are edited where one of their instances stands. */
import { inForce, locate, type Project, treeOfId } from '@hovrin/core';
import type { EditorState, InPlace } from './view.ts';

/** The instances on the way to where a component is edited, outermost first. */
const instancesOf = ({ at }: InPlace): string[] => at.split('/');

/** Whether a component stands where it is edited. */
export function standsAt(project: Project, component: string, inPlace: InPlace): boolean {
  const name = treeOfId(project, component)?.name;
  const { tree } = inPlace;
  let holder: string | undefined = tree;
  for (const id of instancesOf(inPlace)) {
    const found = locate(project, id);
    if (!found || found.screen.id !== holder) return false;
    const of = found.control.id === tree ? inForce(found.control.props.surround) : found.control.kind;
    holder = (project.components ?? []).find((each) => each.name === of)?.id;
    if (holder === undefined) return false;
  }
  return treeOfId(project, holder)?.name === name;
}

/** Where the component of an instance, or the surround of a screen, is edited when it is opened from what is shown. */
export function placeOf(
  { screenId, inPlace }: Pick<EditorState, 'screenId' | 'inPlace'>,
  id: string,
): InPlace {
  return inPlace ? { tree: inPlace.tree, at: `${inPlace.at}/${id}` } : { tree: screenId, at: id };
}

/** What is shown again when a component is left: its instance, and where that is edited itself. */
export function leftFor(
  project: Project,
  inPlace: InPlace,
): { readonly tree: string; readonly instance: string; readonly inPlace: InPlace | undefined } {
  const instances = instancesOf(inPlace);
  const instance = instances.pop() ?? inPlace.tree;
  return {
    tree: locate(project, instance)?.screen.id ?? inPlace.tree,
    instance,
    inPlace: instances.length > 0 ? { tree: inPlace.tree, at: instances.join('/') } : undefined,
  };
}

/** The part that a control of a component is where the component is edited. @param control empty: its root. */
export const partIn = ({ at }: InPlace, control: string): string =>
  control === '' ? at : `${at}/${control}`;

/** The control of the component that a part is of where the component is edited; any other part itself. */
export const ownOf = (inPlace: InPlace | undefined, part: string): string =>
  inPlace && part.startsWith(`${inPlace.at}/`) ? part.slice(inPlace.at.length + 1) : part;
