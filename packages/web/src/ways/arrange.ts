/** Where screens stand on the map: arranged along the ways from left to right, folders together; moved ones stay where they were put. */
import { Graph, type GraphLabel, layout } from '@dagrejs/dagre';

/** A place on the map, in its own units: CSS px at full size. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A screen's card on the map. */
export interface Card {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  /** Name of its folder. */
  readonly folder?: string | undefined;
}

/** Room around what stands in a folder; at the top for its name, too. */
export const folderRoom = { side: 16, top: 40 };

const folderNode = (folder: string) => `folder ${folder}`;

type Link = readonly [from: string, to: string];

/** Cards that belong together: by a way between them, or by their folder; in the order in which the first of each comes. */
function clusters(cards: readonly Card[], links: readonly Link[]): readonly (readonly Card[])[] {
  const groupOf = new Map(cards.map(({ name }) => [name, name]));
  const leader = (name: string): string => {
    const above = groupOf.get(name) ?? name;
    return above === name ? name : leader(above);
  };
  const join = (one: string, other: string) => groupOf.set(leader(other), leader(one));
  for (const [from, to] of links) if (groupOf.has(from) && groupOf.has(to)) join(from, to);
  const first = new Map<string, string>();
  for (const { name, folder } of cards) {
    if (folder === undefined) continue;
    const known = first.get(folder);
    if (known === undefined) first.set(folder, name);
    else join(known, name);
  }
  const found = new Map<string, Card[]>();
  for (const card of cards) {
    const name = leader(card.name);
    found.set(name, [...(found.get(name) ?? []), card]);
  }
  return [...found.values()];
}

/** Places of cards that belong together, from 0, and the room that they take. */
interface Block {
  readonly spots: ReadonlyMap<string, Spot>;
  readonly width: number;
  readonly height: number;
}

function block(cards: readonly Card[], links: readonly Link[]): Block {
  const graph = new Graph<GraphLabel>({ compound: true, multigraph: false });
  graph.setGraph({ rankdir: 'LR', nodesep: 20, ranksep: 60 });
  graph.setDefaultEdgeLabel(() => ({}));
  const known = new Set(cards.map(({ name }) => name));
  for (const { name, width, height, folder } of cards) {
    graph.setNode(name, { width: width + 2 * folderRoom.side, height: height + folderRoom.top });
    if (folder === undefined) continue;
    if (!graph.hasNode(folderNode(folder))) graph.setNode(folderNode(folder), {});
    graph.setParent(name, folderNode(folder));
  }
  for (const [from, to] of links)
    if (from !== to && known.has(from) && known.has(to)) graph.setEdge(from, to);
  layout(graph);
  const spots = new Map(
    cards.map(({ name, width, height }) => {
      const { x = 0, y = 0 } = graph.node(name);
      return [name, { x: x - width / 2, y: y - height / 2 + folderRoom.top / 2 }];
    }),
  );
  const area = areaAround(cards, spots)!;
  return {
    spots: new Map([...spots].map(([name, { x, y }]) => [name, { x: x - area.x, y: y - area.y }])),
    width: area.width,
    height: area.height,
  };
}

/** Between blocks. */
const blockGap = 32;
/** Width to height that the whole map aims at. */
const proportion = 1.5;

/**
 * @param links the ways that decide who stands behind whom, as pairs of names.
 * @param kept where a person put cards.
 * @returns the top left corner of each card, by name.
 */
export function arranged(
  cards: readonly Card[],
  links: readonly Link[],
  kept: ReadonlyMap<string, Spot> = new Map(),
): ReadonlyMap<string, Spot> {
  const blocks = clusters(cards, links).map((each) => block(each, links));
  const covered = blocks.reduce(
    (sum, { width, height }) => sum + (width + blockGap) * (height + blockGap),
    0,
  );
  const widest = Math.max(Math.sqrt(covered * proportion), ...blocks.map(({ width }) => width));
  const spots = new Map<string, Spot>();
  let [x, y, deepest] = [0, 0, 0];
  // Blocks stand beside each other, as words on lines do.
  for (const { spots: inside, width, height } of blocks) {
    if (x > 0 && x + width > widest) {
      x = 0;
      y += deepest + blockGap;
      deepest = 0;
    }
    for (const [name, spot] of inside)
      spots.set(name, kept.get(name) ?? { x: Math.round(x + spot.x), y: Math.round(y + spot.y) });
    x += width + blockGap;
    deepest = Math.max(deepest, height);
  }
  return spots;
}

/** An area of the map. */
export interface Area extends Spot {
  readonly width: number;
  readonly height: number;
}

/** The area around cards, with room at their sides and for a name on top; undefined where there are none. */
export function areaAround(
  cards: readonly Card[],
  spots: ReadonlyMap<string, Spot>,
  room = folderRoom,
): Area | undefined {
  const placed = cards.flatMap((card) => {
    const spot = spots.get(card.name);
    return spot ? [{ ...spot, right: spot.x + card.width, bottom: spot.y + card.height }] : [];
  });
  if (placed.length === 0) return undefined;
  const x = Math.min(...placed.map((each) => each.x)) - room.side;
  const y = Math.min(...placed.map((each) => each.y)) - room.top;
  return {
    x,
    y,
    width: Math.max(...placed.map(({ right }) => right)) + room.side - x,
    height: Math.max(...placed.map(({ bottom }) => bottom)) + room.side - y,
  };
}
