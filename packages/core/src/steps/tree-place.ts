/** Where a control may stand. */
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, type TreeList } from '../document/types.ts';
import { countOn, placeOf, type withInserted } from '../document/whereabouts.ts';
import { confinesProblem, confiningKind, kindNamed, kindOf } from '../kinds/catalogue.ts';
import { slotOf } from '../kinds/properties.ts';
import { deepestNesting, mostControls } from '../meaning/validate.ts';
import { definitionsOf, leadsTo } from '../reuse/definition.ts';
import { kindIn, slotProblem } from '../reuse/instance-kinds.ts';
import { isId } from './applied.ts';

/** A place among the children of a control; `null` as parent: among the screens or components. */
export interface TreePlace {
  readonly parent: string | null;
  /** Past the last one: at the end, since others may have gone meanwhile. */
  readonly index: number;
}

/** Whether data from outside is a place. */
export const isPlace = (step: Readonly<Record<string, unknown>>): boolean =>
  (step.parent === null || isId(step.parent)) && Number.isInteger(step.index);

/** The list of a project that a tree belongs in; undefined for what stands in a tree. */
export const treeListOf = (control: Pick<Control, 'kind'>): TreeList | undefined =>
  kindNamed(control.kind)?.root;

/** A place as the document takes it. */
export const placeInto = ({ parent }: TreePlace, control: Control): Parameters<typeof withInserted>[1] =>
  parent === null ? { list: treeListOf(control) ?? 'screens' } : { parent };

/** Why a control cannot come into a component: it would hold itself; undefined where it can. */
function circleMade(project: Project, tree: Control, control: Control): string | undefined {
  if (kindOf(tree).root !== 'components') return undefined;
  const components = definitionsOf(project);
  const found = [...walk(control)].find(
    ({ kind }) => kindOf({ kind }).open && leadsTo(components, kind, tree.name ?? ''),
  );
  return found && `\`${tree.name}\` would hold itself: \`${found.kind}\` cannot stand in it.`;
}

const depthOf = (control: Control): number =>
  1 + control.children.reduce((most, child) => Math.max(most, depthOf(child)), 0);

/** Why a control cannot stand at a place; undefined where it can. */
export function placeProblem(
  project: Project,
  { parent, index }: TreePlace,
  control: Control,
): string | undefined {
  const isTree = treeListOf(control) !== undefined;
  if ((parent === null) !== isTree)
    return isTree
      ? `A ${control.kind} cannot stand inside another control.`
      : `A ${control.kind} is no whole screen or component.`;
  if (parent === null) return index >= 0 ? undefined : 'There is no such place.';
  const into = placeOf(project, parent);
  if (!into) return 'The container is not there any more.';
  const circle = circleMade(project, into.screen, control);
  if (circle) return circle;
  const slot = inForce(control.props[slotOf.name]) ?? '';
  const { slots = [slot] } = kindIn(project, into.control);
  if (slots.length === 0) return slotProblem(kindIn(project, into.control), slot);
  const confining = confiningKind(into.control, into.parent) ?? kindOf(into.control);
  const confined = confinesProblem(kindOf(control), confining, into.control.children.length + 1);
  if (confined) return confined;
  if (kindOf(into.screen).root === 'screens' && [...walk(control)].some((each) => kindOf(each).inComponents))
    return 'A slot stands in a component only.';
  if (index < 0) return 'There is no such place in the container.';
  if (into.depth + 1 + depthOf(control) > deepestNesting)
    return `Controls are nested at most ${deepestNesting} deep.`;
  if (countOn(into.screen) + [...walk(control)].length > mostControls)
    return `A screen has at most ${mostControls} controls.`;
  return undefined;
}
