/** Trees of rows and columns as documents, for benchmarks. */
import { type Control, defaultBands, type Project } from '@hovrin/core';

export const projectOf = (screen: Control): Project => ({
  format: 1,
  name: 'bench',
  bands: defaultBands,
  state: [],
  assets: [],
  screens: [screen],
});

/** Makes controls with ids of their own. */
export function maker(): (kind: string, props: Record<string, string>, children?: Control[]) => Control {
  let count = 0;
  return (kind, props, children = []) => ({ id: `b${++count}`, kind, props, children });
}

/** Size of the leaves, CSS px. */
export const leafSize = { width: 20, height: 10 };
export const treeGap = 3;
export const treePadding = 2;

/**
 * A tree of containers, rows in columns in rows, with leaves of a fixed size.
 *
 * @param branches children of each container.
 * @param depth levels of containers below the screen's one child.
 */
export function tree(branches: number, depth: number): Control {
  const make = maker();
  const node = (level: number, row: boolean): Control =>
    level === 0
      ? make('spacer', { width: String(leafSize.width), height: String(leafSize.height) })
      : make(
          row ? 'row' : 'column',
          // A column in a row shares its width; a row in a column fills it.
          { ...(row ? {} : { width: 'share' }), padding: String(treePadding), gap: String(treeGap) },
          Array.from({ length: branches }, () => node(level - 1, !row)),
        );
  return make('screen', { padding: String(treePadding), gap: String(treeGap) }, [
    ...Array.from({ length: branches }, () => node(depth - 1, true)),
  ]);
}

/** Controls of such a tree, the screen included. */
export const countOf = (branches: number, depth: number): number =>
  (branches ** (depth + 1) - 1) / (branches - 1);

/** A screen with the leaf at the first place of every level replaced. */
export function withLeaf(screen: Control, width: number): Control {
  const replace = (control: Control): Control =>
    control.children.length === 0
      ? { ...control, props: { ...control.props, width: String(width) } }
      : { ...control, children: control.children.with(0, replace(control.children[0]!)) };
  return replace(screen);
}

/** Containers one in the other, and a leaf at the bottom of each chain. */
export function nests(levels: number, chains: number): Control {
  const make = maker();
  const chain = (level: number): Control =>
    level === 0
      ? make('spacer', { width: '20', height: '10' })
      : make(level % 2 === 0 ? 'row' : 'column', { padding: '1' }, [chain(level - 1)]);
  return make(
    'screen',
    {},
    Array.from({ length: chains }, () => chain(levels)),
  );
}

/** One row of many children, or a screen of many such rows. */
export function rows(count: number, each: number): Control {
  const make = maker();
  return make(
    'screen',
    { gap: '2' },
    Array.from({ length: count }, () =>
      make(
        'row',
        { gap: '1' },
        Array.from({ length: each }, (_, index) =>
          make('spacer', index % 3 === 0 ? { width: 'share', height: '10' } : { width: '20', height: '10' }),
        ),
      ),
    ),
  );
}
