/** What differs in all that is no tree: state, sources, pictures, tokens, styles, tasks, code, bands, and the project's own values. */
import { collections, entitiesOf } from '../collections/catalogue.ts';
import { isRecord } from '../document/record.ts';
import { same } from '../document/same.ts';
import type { Project } from '../document/types.ts';
import { differences } from '../runtime/differences.ts';
import { changing, dropping, putting } from '../steps/entities.ts';
import type { Step } from '../steps/step.ts';

/** Something of a collection that differs. */
export interface EntityChange {
  /** Id of its collection: `state`, `tokens`. */
  readonly of: string;
  /** One of it, in a word: `state variable`. */
  readonly word: string;
  readonly key: string;
  readonly how: 'added' | 'removed' | 'changed';
  readonly words: readonly string[];
  /** They lead from the earlier version to the later. */
  readonly steps: readonly Step[];
}

/** Longest value that is told whole. */
const longest = 60;

function shortly(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text = JSON.stringify(value);
  if (text.length <= longest) return text;
  if (Array.isArray(value)) return `${value.length} items`;
  if (typeof value === 'string') return `${value.split('\n').length} lines`;
  return `${text.slice(0, longest)} …`;
}

/** The fields in which two records differ, one in words each. */
function fieldWords(before: object, after: object): string[] {
  const held = (of: object, field: string) =>
    Object.hasOwn(of, field) ? (of as Record<string, unknown>)[field] : undefined;
  return [...new Set([...Object.keys(before), ...Object.keys(after)])]
    .filter((field) => !same(held(before, field), held(after, field)))
    .flatMap((field) => {
      const [was, is] = [held(before, field), held(after, field)];
      const inner = differences(was, is);
      return inner.length > 0
        ? inner.map((words) => `${field}: ${words}`)
        : [`${field} ${shortly(was)} → ${shortly(is)}`];
    });
}

export function entityChanges(before: Project, after: Project): readonly EntityChange[] {
  return collections()
    .filter(({ inTree }) => !inTree)
    .flatMap((collection): EntityChange[] => {
      const { id: of, word } = collection;
      const old = new Map(entitiesOf(before, collection).map((each) => [collection.keyOf(each), each]));
      const now = new Map(entitiesOf(after, collection).map((each) => [collection.keyOf(each), each]));
      const told = (key: string, how: EntityChange['how'], words: string[], steps: Step[]): EntityChange => ({
        of,
        word,
        key,
        how,
        words,
        steps,
      });
      return [
        ...[...old].flatMap(([key, entity]) =>
          now.has(key) ? [] : told(key, 'removed', [], [dropping(of, entity)]),
        ),
        ...[...now].flatMap(([key, entity]) => {
          const earlier = old.get(key);
          if (!earlier) return told(key, 'added', [], [putting(of, entity)]);
          const words = fieldWords(earlier, entity);
          return words.length > 0 ? told(key, 'changed', words, changing(of, earlier, entity)) : [];
        }),
      ];
    });
}

/** Values of the project itself that differ: its name, its first screen, its language. */
export function projectWords(before: Project, after: Project): readonly string[] {
  const own = (project: Project) =>
    Object.fromEntries(
      Object.entries(project).filter(
        ([field, value]) => field !== 'format' && !Array.isArray(value) && !isRecord(value),
      ),
    );
  return fieldWords(own(before), own(after));
}
