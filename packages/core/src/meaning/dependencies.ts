/** What feeds a control and what it feeds, as a map: variables, those that they follow, feeds, and other controls. */

import { effectiveNames } from '../document/names.ts';
import { pathTo, walk } from '../document/tree.ts';
import { type Control, inForce, type Project, type StateVariable, treesOf } from '../document/types.ts';
import { followedBy } from '../expression/address.ts';
import { namesOfTemplate } from '../expression/names.ts';
import { parseTemplate } from '../expression/template.ts';
import { entryOf } from '../sure.ts';
import { itemNames } from './property-text.ts';
import { type StateUse, usesOfState } from './state-uses.ts';

/** Something on the map. */
export interface MapNode {
  readonly id: string;
  readonly what: 'control' | 'variable' | 'feed';
  /** A control's name with its screen, a variable's name, a feed's address, what is asked of a service. */
  readonly label: string;
  /** The control that it is; absent for others. */
  readonly control?: string;
  /** Steps from the control that the map is about: negative where it feeds that, positive where that feeds it. */
  readonly column: number;
}

export interface DependencyMap {
  readonly nodes: readonly MapNode[];
  /** Ids, in the direction in which values go. */
  readonly edges: readonly (readonly [from: string, to: string])[];
  /** Some of it is left out, since there is too much. */
  readonly cut: boolean;
}

/** Most nodes of a map, and steps in each direction. */
const mostNodes = 60;
const farthest = 5;

/** Where the values of a variable come from outside; undefined: from nowhere. */
const outsideOf = ({ feed, request }: StateVariable): string | undefined =>
  feed?.address ?? (request && `${request.source}: ${request.method} ${request.path || '/'}`);

class MapMaker {
  readonly nodes = new Map<string, MapNode>();
  readonly edges = new Map<string, readonly [string, string]>();
  cut = false;
  private readonly uses = new Map<string, readonly StateUse[]>();
  private readonly byName: ReadonlyMap<string, StateVariable>;

  constructor(private readonly project: Project) {
    this.byName = new Map(project.state.map((variable) => [variable.name, variable]));
  }

  private usesOf(name: string): readonly StateUse[] {
    let known = this.uses.get(name);
    if (!known) {
      known = usesOfState(this.project, name);
      this.uses.set(name, known);
    }
    return known;
  }

  /** @returns whether it is on the map, and was not there before. */
  private put(node: MapNode): boolean {
    if (this.nodes.has(node.id)) return false;
    if (this.nodes.size >= mostNodes) {
      this.cut = true;
      return false;
    }
    this.nodes.set(node.id, node);
    return true;
  }

  private join(from: string, to: string): void {
    if (this.nodes.has(from) && this.nodes.has(to)) this.edges.set(`${from} ${to}`, [from, to]);
  }

  about(control: Control, label: string): void {
    this.put({ id: control.id, what: 'control', label, control: control.id, column: 0 });
    for (const { name } of this.project.state)
      for (const use of this.usesOf(name)) {
        if (use.control.id !== control.id) continue;
        if (use.written) this.forward(name, control.id, 1);
        // A binding in both directions reads what it writes.
        if (!use.written || use.property.endsWith('.bind')) this.back(name, control.id, -1);
      }
    // What it reads of an item comes from the list that is repeated.
    for (const repeat of pathTo(this.project, control.id).slice(0, -1)) {
      const [item] = itemNames([repeat]);
      if (item === undefined || !this.usesOf(item).some((use) => use.control.id === control.id)) continue;
      const each = parseTemplate(inForce(repeat.props.each) ?? '');
      if (each.ok) for (const { name } of namesOfTemplate(each.value)) this.back(name, control.id, -1);
    }
  }

  private putControl({ screen, control }: StateUse, column: number): string {
    const label = `${screen.name}.${effectiveNames(screen).get(control.id)}`;
    this.put({ id: control.id, what: 'control', label, control: control.id, column });
    return control.id;
  }

  /** What a variable gets its values from. */
  private back(name: string, to: string, column: number): void {
    const id = `variable ${name}`;
    const isNew = this.put({ id, what: 'variable', label: name, column });
    this.join(id, to);
    if (!isNew || -column >= farthest) return;
    const variable = this.byName.get(name);
    if (!variable) return;
    for (const source of followedBy(variable)) this.back(source, id, column - 1);
    const outside = outsideOf(variable);
    if (outside !== undefined) {
      this.put({ id: `feed ${outside}`, what: 'feed', label: outside, column: column - 1 });
      this.join(`feed ${outside}`, id);
    }
    for (const use of this.usesOf(name))
      if (use.written && use.control.id !== to) this.join(this.putControl(use, column - 1), id);
  }

  /** What follows a variable. */
  private forward(name: string, from: string, column: number): void {
    const id = `variable ${name}`;
    const isNew = this.put({ id, what: 'variable', label: name, column });
    this.join(from, id);
    if ((!isNew && entryOf(this.nodes, id).column <= 0) || column >= farthest) return;
    for (const each of this.project.state)
      if (followedBy(each).includes(name)) this.forward(each.name, id, column + 1);
    for (const use of this.usesOf(name))
      if (!use.written && use.control.id !== from) this.join(id, this.putControl(use, column + 1));
  }
}

/** The map around a control; it alone where it reads and sets nothing. */
export function dependencyMap(project: Project, control: Control): DependencyMap {
  const maker = new MapMaker(project);
  const screen = treesOf(project).find((each) => [...walk(each)].some(({ id }) => id === control.id));
  maker.about(control, (screen && effectiveNames(screen).get(control.id)) ?? control.kind);
  return { nodes: [...maker.nodes.values()], edges: [...maker.edges.values()], cut: maker.cut };
}
