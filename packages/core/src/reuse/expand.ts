/**
 * The one expansion: instances of components, slots and surrounds become the controls that they stand for. Layout, page,
 * program, checks, sweep, focus and Why are given the result, in which nothing of components is left.
 *
 * An instance that did not change, of a component that did not change, stays the same controls, so that their boxes are kept.
 */
import type { Control, Project, StateVariable } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { definitionsOf } from './definition.ts';
import { Expander, holdsInstances } from './expander.ts';
import { withProjectValues } from './from-project.ts';
import { keepMotions, type MotionHere } from './motions-here.ts';
import { valuesInside } from './samples.ts';

/** A screen without instances, and the variables that instances on it keep for themselves. */
export interface Expansion {
  readonly screen: Control;
  readonly variables: readonly StateVariable[];
  /** What moves on it. */
  readonly motions: readonly MotionHere[];
  /** What does not fit: too many controls, too deep, a circle; undefined where all of it stands there. */
  readonly problem: string | undefined;
}

const expandedScreens = new WeakMap<
  Control,
  { readonly components: Project['components']; readonly expansion: Expansion }
>();

/** As much of a project as decides what its screens come to. */
type Around = Pick<Project, 'components' | 'screens' | 'folders'>;

/** A screen without instances, whose controls say what follows from the project. */
export function expansionOf(project: Around, tree: Control): Expansion {
  const expansion = withoutInstances(project, tree);
  const screen = withProjectValues(expansion.screen, project);
  keepMotions(screen, expansion.motions);
  return screen === expansion.screen ? expansion : { ...expansion, screen };
}

function withoutInstances(project: Around, screen: Control): Expansion {
  if (!holdsInstances(screen)) return { screen, variables: [], motions: [], problem: undefined };
  const known = expandedScreens.get(screen);
  if (known && known.components === project.components) return known.expansion;
  const expander = new Expander(definitionsOf(project), screen);
  const expansion = {
    screen: expander.whole(),
    variables: expander.variables,
    motions: expander.motions,
    problem: expander.problem,
  };
  expandedScreens.set(screen, { components: project.components, expansion });
  return expansion;
}

const shownAlone = new WeakMap<Control, { readonly project: Project; readonly expansion: Expansion }>();

/** A component as if it were a screen with one of it, with samples of what its parameters hold. */
function aloneOf(project: Project, component: Control): Expansion {
  const known = shownAlone.get(component);
  if (known?.project === project) return known.expansion;
  const expander = new Expander(definitionsOf(project), component);
  const screen = expander.alone(valuesInside(project, component));
  const expansion = {
    screen: withProjectValues(screen, project),
    variables: expander.variables,
    motions: expander.motions,
    problem: expander.problem,
  };
  keepMotions(expansion.screen, expansion.motions);
  shownAlone.set(component, { project, expansion });
  return expansion;
}

/** A project as one of its screens sees it when nothing of components is left on that. */
export interface Expanded {
  readonly project: Project;
  readonly screen: Control;
}

const expandedHere = new WeakMap<Control, { readonly project: Project; readonly expanded: Expanded }>();

/**
 * A screen without instances, in its project, which has the variables that they keep. The same objects where there are none.
 * Other screens of the project stay as they are.
 */
export function expandedOn(project: Project, screen: Control): Expanded {
  const { screen: shown, variables } =
    kindOf(screen).root === 'components' ? aloneOf(project, screen) : expansionOf(project, screen);
  if (shown === screen) return { project, screen };
  const known = expandedHere.get(shown);
  if (known?.project === project) return known.expanded;
  const expanded = {
    project: {
      ...project,
      state: withVariables(project.state, variables),
      screens: project.screens.map((each) => (each === screen ? shown : each)),
    },
    screen: shown,
  };
  expandedHere.set(shown, { project, expanded });
  return expanded;
}

const expandedProjects = new WeakMap<Project, Project>();

/** A project in which nothing of components is left. The same object where it has none. */
export function expandedProject(project: Project): Project {
  const known = expandedProjects.get(project);
  if (known) return known;
  const expansions = project.screens.map((screen) => expansionOf(project, screen));
  if (!project.components && expansions.every(({ screen }, index) => screen === project.screens[index]))
    return project;
  const { components: _, ...rest } = project;
  const made = {
    ...rest,
    screens: expansions.map(({ screen }) => screen),
    state: withVariables(
      project.state,
      expansions.flatMap(({ variables }) => variables),
    ),
  };
  expandedProjects.set(project, made);
  return made;
}

const withOwn = new WeakMap<
  Project['state'],
  { readonly variables: readonly StateVariable[]; readonly state: Project['state'] }
>();

const isSameVariable = (one: StateVariable, other: StateVariable): boolean =>
  one.name === other.name && one.type === other.type && one.initial === other.initial;

/** State with variables of instances behind it; the same list as last time where they are. */
function withVariables(state: Project['state'], variables: readonly StateVariable[]): Project['state'] {
  if (variables.length === 0) return state;
  const known = withOwn.get(state);
  if (
    known?.variables.length === variables.length &&
    known.variables.every((each, index) => isSameVariable(each, variables[index]!))
  )
    return known.state;
  const made = [...state, ...variables];
  withOwn.set(state, { variables, state: made });
  return made;
}
