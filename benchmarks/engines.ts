/**
 * Our layout against `yoga-layout`, an engine that is embedded in many programs, on the same trees of rows and
 * columns. Ours begins at the document, whose values it reads; the other at calls that set a node's values.
 */
import { boxesFor, type Control, layOutRoot, passOf, type View } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import Yoga, { Edge, FlexDirection, Gutter, type Node } from 'yoga-layout';
import { compare, type Measured } from './measure.ts';
import { countOf, leafSize, projectOf, tree, treeGap, treePadding, withLeaf } from './trees.ts';

const height = 800;

function yogaTree(branches: number, depth: number): { root: Node; leaf: Node } {
  let first: Node | undefined;
  const node = (level: number, row: boolean): Node => {
    const made = Yoga.Node.create();
    if (level === 0) {
      made.setWidth(leafSize.width);
      made.setHeight(leafSize.height);
      first ??= made;
      return made;
    }
    made.setFlexDirection(row ? FlexDirection.Row : FlexDirection.Column);
    made.setPadding(Edge.All, treePadding);
    made.setGap(Gutter.All, treeGap);
    if (!row && level < depth) {
      made.setFlexGrow(1);
      made.setFlexBasis(0);
    }
    for (let index = 0; index < branches; index++) made.insertChild(node(level - 1, !row), index);
    return made;
  };
  const root = node(depth, false);
  root.setMinHeight(height);
  return { root, leaf: first! };
}

/** Lays a screen out in the engine, without putting the boxes at their places on the screen. */
function ours(shaper: Shaper, screen: Control, width: number) {
  const view: View = { width, height };
  const builder = boxesFor(shaper, projectOf(screen), view);
  return { builder, laid: layOutRoot(passOf('nothing'), builder.box(screen)!, view) };
}

/** Largest difference between the two results, CSS px. */
function difference(laid: ReturnType<typeof ours>['laid'], node: Node): number {
  let worst = Math.max(
    Math.abs(laid.width - node.getComputedWidth()),
    Math.abs(laid.height - node.getComputedHeight()),
  );
  laid.children.forEach((child, index) => {
    const other = node.getChild(index);
    worst = Math.max(
      worst,
      Math.abs(laid.places[2 * index]! - other.getComputedLeft()),
      Math.abs(laid.places[2 * index + 1]! - other.getComputedTop()),
      difference(child, other),
    );
  });
  return worst;
}

export function engines(shaper: Shaper): Measured[] {
  const results: Measured[] = [];
  // Sizes are not rounded to whole px there either.
  const config = Yoga.Config.create();
  config.setPointScaleFactor(0);
  for (const [branches, depth, rounds] of [
    [6, 3, 41],
    [6, 4, 21],
    [10, 4, 9],
  ] as const) {
    const controls = countOf(branches, depth);
    const screen = tree(branches, depth);
    const width = 4000;
    const { root, leaf } = yogaTree(branches, depth);
    root.calculateLayout(width, undefined);
    const first = ours(shaper, screen, width);
    const off = difference(first.laid, root);
    if (off > 1) throw new Error(`The two engines differ by ${off} px on ${controls} controls`);

    const against = 'yoga-layout';
    results.push({
      name: `build and lay out, ${controls} controls`,
      against,
      ratio: compare(
        () => void ours(shaper, screen, width),
        () => {
          const made = yogaTree(branches, depth);
          made.root.calculateLayout(width, undefined);
          made.root.freeRecursive();
        },
        rounds,
      ),
      aim: 3,
    });

    let wide = width;
    let wideYoga = width;
    const box = first.builder.box(screen)!;
    results.push({
      name: `lay out at a new width, ${controls} controls`,
      against,
      ratio: compare(
        () => {
          wide += 7;
          layOutRoot(passOf('nothing'), box, { width: wide, height });
        },
        () => {
          wideYoga += 7;
          root.calculateLayout(wideYoga, undefined);
        },
        rounds,
      ),
      aim: 3,
    });

    let turn = 0;
    let turnYoga = 0;
    root.calculateLayout(width, undefined);
    results.push({
      name: `lay out after one leaf changed, ${controls} controls`,
      against,
      ratio: compare(
        () => {
          const changed = withLeaf(screen, 12 + (turn++ % 90));
          layOutRoot(passOf('nothing'), first.builder.box(changed)!, { width, height });
        },
        () => {
          leaf.setWidth(12 + (turnYoga++ % 90));
          root.calculateLayout(width, undefined);
        },
        rounds,
      ),
      aim: 10,
    });
    root.freeRecursive();
  }
  return results;
}

/** Memory of laid-out trees per control, as the process grows by them. */
export function memory(shaper: Shaper): Measured[] {
  const [branches, depth, trees] = [10, 4, 4];
  const controls = countOf(branches, depth) * trees;
  const grown = (make: () => unknown): number => {
    globalThis.gc?.();
    const before = process.memoryUsage().rss;
    const kept = make();
    globalThis.gc?.();
    const after = process.memoryUsage().rss;
    return kept ? Math.max(1, after - before) : 0;
  };
  const yoga = grown(() =>
    Array.from({ length: trees }, () => {
      const { root } = yogaTree(branches, depth);
      root.calculateLayout(4000, undefined);
      return root;
    }),
  );
  const screens = Array.from({ length: trees }, () => tree(branches, depth));
  const own = grown(() => screens.map((screen) => ours(shaper, screen, 4000)));
  return [
    {
      name: `memory per control of laid-out trees, ${controls} controls (${Math.round(own / controls)} bytes)`,
      against: `yoga-layout (${Math.round(yoga / controls)} bytes)`,
      ratio: Number((yoga / own).toFixed(2)),
      aim: null,
      unit: 'smaller',
    },
  ];
}
