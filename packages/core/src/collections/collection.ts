/**
 * What a project has many of: state variables, bands, pictures, screens. One file a collection says everything about
 * its entities; steps, validation, project folders and renaming ask it. A new one is a file and a line in `catalogue.ts`.
 */
import { isRecord } from '../document/record.ts';
import type { Control, Project } from '../document/types.ts';

/** What is wrong with an entity. */
export interface Fault {
  /** The field, as JavaScript names it: `table.rows`, `columns[2].type`; empty: the entity as a whole. */
  readonly path: string;
  /** A sentence for the person. */
  readonly message: string;
}

/** A place that names an entity. */
export interface Use {
  readonly screen: Control;
  readonly control: Control;
  readonly attribute: string;
}

/** An attribute: its name and its text. */
export type AttributeText = readonly [attribute: string, text: string];

export interface Collection<E extends object = object> {
  /** Its key in a project, in `project.json` and in steps. */
  readonly id: string;
  /** One entity in sentences: `state variable`. */
  readonly word: string;
  /** How many entities a project has, at least and at most. */
  readonly least: number;
  readonly most: number;
  /** The names of an entity's fields: nothing else is one. */
  readonly fields: readonly string[];
  /** Fields that are records of values, each of which changes by itself: two people may change different ones at once. */
  readonly parted?: readonly string[];
  /** A project may be without the list: it has none of these then. */
  readonly optional?: boolean;
  /** Its entities stand in a file of their own, not in `project.json`. */
  readonly ownFile?: boolean;
  /** Its entities are controls: they come, go and move by steps of the tree, and lie in files of their own. */
  readonly inTree?: boolean;
  /** What an entity is told apart by among all of its collection. */
  keyOf(entity: E): string;
  /** Why a text cannot be a key; undefined where it can, if it is free. */
  keyProblem(key: string): string | undefined;
  /**
   * What is wrong with an entity from outside, by itself; undefined where nothing is.
   *
   * @param project the collections that this one's entities are read with.
   */
  fault(entity: unknown, project: Pick<Project, 'bands' | 'tokens'>): Fault | undefined;
  /** What is wrong with entities that are right one by one; their keys differ. */
  faultAmong?(entities: readonly E[]): string | undefined;
  /** A new entity. */
  empty(key: string): E;
  /** The entity under another key. */
  rekeyed(entity: E, key: string): E;
  /** Entities stand in this order, whatever order they came in; without it, in the order that is kept. */
  compare?(one: E, other: E): number;
  /** An attribute with another key for an entity that it may name. The same where it does not name it. */
  inAttribute?(
    control: Control,
    attribute: AttributeText,
    from: string,
    to: string,
    project: Pick<Project, 'bands'>,
  ): AttributeText;
  /** Whether a component calls something of its own like that, so that in it the key means no entity of this collection. */
  shadowedIn?(component: Control, key: string): boolean;
  /** A control that may be of the entity, not only name it: with another key. The same where it is not. */
  inControl?(control: Control, from: string, to: string): Control;
  /**
   * An entity, or some of its fields, with another key for one of this collection that it may name.
   *
   * @param of the id of the collection that the entity is in. @returns the same object where it does not name it.
   */
  inEntity?<T extends object>(of: string, entity: T, from: string, to: string): T;
  /** Attributes that name an entity. */
  uses(project: Project, key: string): readonly Use[];
  /** What names an entity cannot be read without it: it does not go before they do. */
  needed?(key: string): boolean;
  /** An entity as steps compare it: without what changes by steps of its own. The same entity where there is none. */
  compared?(entity: E): E;
  /** An entity that replaces another; fields with steps of their own keep the other's values. */
  succeeding?(entity: E, before: E): E;
  /** An entity as `project.json` has it; itself where this is absent. */
  printed?(entity: E): unknown;
  /** What `project.json` has, as an entity; itself where this is absent. */
  read?(raw: unknown): unknown;
  /** What makes entities of an older format those of the next one, by the format that they come from. */
  readonly migrations?: Readonly<Record<number, (entities: readonly unknown[]) => readonly unknown[]>>;
}

/** The fields of an entity that a collection knows; what else stood in a file of an older format goes. */
export const onlyFields = (fields: readonly string[]) => (entities: readonly unknown[]) =>
  entities.map((entity) =>
    isRecord(entity)
      ? Object.fromEntries(Object.entries(entity).filter(([field]) => fields.includes(field)))
      : entity,
  );
