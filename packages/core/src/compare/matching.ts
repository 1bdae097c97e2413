/** Which tree of one version is which of the other. */
import type { Control, Project, TreeList } from '../document/types.ts';

/** A screen or component in two versions; without the one or the other it was added or removed. */
export interface TreePair {
  readonly list: TreeList;
  readonly before: Control | undefined;
  readonly after: Control | undefined;
}

/**
 * Pairs the trees of two versions: by id, where both come from one log, else by name. Those of the later version in their
 * order, and behind them what it does not have any more.
 */
export function pairedTrees(before: Project, after: Project): readonly TreePair[] {
  return (['screens', 'components'] as const).flatMap((list): TreePair[] => {
    const old = before[list] ?? [];
    const now = after[list] ?? [];
    const taken = new Set<Control>();
    const partner = (tree: Control): Control | undefined => {
      const found =
        old.find((each) => each.id === tree.id && each.kind === tree.kind) ??
        old.find((each) => each.name === tree.name && !now.some((other) => other.id === each.id));
      if (!found || taken.has(found)) return undefined;
      taken.add(found);
      return found;
    };
    const pairs = now.map((tree): TreePair => ({ list, before: partner(tree), after: tree }));
    const gone = old.filter((tree) => !taken.has(tree));
    return [...pairs, ...gone.map((tree): TreePair => ({ list, before: tree, after: undefined }))];
  });
}
