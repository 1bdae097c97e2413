/** Two versions of a project side by side: what differs in the document, in words, and at which widths anything differs. */
import { same } from '../document/same.ts';
import type { Control, Project, TreeList } from '../document/types.ts';
import type { SweepOptions } from '../sweep/sweep.ts';
import type { Shaper } from '../text/shaper.ts';
import { type ControlChange, treeChanges } from './control-changes.ts';
import { compareWidths, type WidthsCompared } from './differing-widths.ts';
import { type EntityChange, entityChanges, projectWords } from './entity-changes.ts';
import { pairedTrees } from './matching.ts';

/** A screen or component that differs. */
export interface TreeComparison {
  readonly list: TreeList;
  /** As the later version calls it; as the earlier did where it is gone. */
  readonly name: string;
  /** `elsewhere`: it says the same, and what it is made with (components, tokens, styles, state) differs. */
  readonly how: 'added' | 'removed' | 'changed' | 'elsewhere';
  readonly before: Control | undefined;
  readonly after: Control | undefined;
  readonly changes: readonly ControlChange[];
  /** Of a screen in both: where its layout or its look differs; undefined: it was not asked for. */
  readonly layout?: WidthsCompared;
}

export interface Comparison {
  readonly trees: readonly TreeComparison[];
  readonly entities: readonly EntityChange[];
  /** Values of the project itself, one in words each. */
  readonly project: readonly string[];
}

/** Whether two versions are alike. */
export const isAlike = ({ trees, entities, project }: Comparison): boolean =>
  trees.length + entities.length + project.length === 0;

/** The same tree without the ids of its controls, which differ where two folders are read. */
function plainTree({ id: _, children, ...rest }: Control): object {
  return { ...rest, children: children.map(plainTree) };
}

/** Whether what screens are made with differs: then those that say the same may look otherwise. */
const madeOtherwise = (before: Project, after: Project): boolean =>
  (['bands', 'state', 'tokens', 'styles', 'code', 'assets'] as const).some(
    (list) => !same(before[list], after[list]),
  ) || !same((before.components ?? []).map(plainTree), (after.components ?? []).map(plainTree));

/** Compares the documents alone. */
export function compareProjects(before: Project, after: Project): Comparison {
  const isOther = madeOtherwise(before, after);
  const trees = pairedTrees(before, after).flatMap(({ list, before: old, after: now }): TreeComparison[] => {
    const name = (now ?? old)?.name ?? '';
    const pair = { list, name, before: old, after: now };
    if (!old || !now) return [{ ...pair, how: old ? 'removed' : 'added', changes: [] }];
    const isSame = same(plainTree(old), plainTree(now));
    if (isSame) return isOther && list === 'screens' ? [{ ...pair, how: 'elsewhere', changes: [] }] : [];
    return [{ ...pair, how: 'changed', changes: treeChanges(before, old, now, after).changes }];
  });
  return { trees, entities: entityChanges(before, after), project: projectWords(before, after) };
}

/**
 * Compares the layouts, too, screen by screen: each is given as soon as it is known. A screen that says the same and looks the
 * same at every width is left out.
 */
export function* comparedScreens(
  shaper: Shaper,
  [before, after]: readonly [Project, Project],
  { trees }: Comparison,
  options: SweepOptions,
): Generator<TreeComparison, void, void> {
  for (const tree of trees) {
    const { list, before: old, after: now, how } = tree;
    if (list !== 'screens' || !old || !now) {
      yield tree;
      continue;
    }
    const layout = compareWidths(
      shaper,
      { project: before, screen: old },
      { project: after, screen: now },
      options,
    );
    if (how !== 'elsewhere' || layout.widths.length > 0) yield { ...tree, layout };
  }
}
