/** The map as plain data: cards, arrows, folders, from a project, its ways and the layouts of its screens. */
import {
  folderOf,
  isDialog,
  type Project,
  type Reach,
  reachOf,
  type ScreenLayout,
  startScreen,
  type Way,
  waysOf,
} from '@hovrin/core';
import type { ScreenSize } from '../sizes.ts';
import { type Area, areaAround, arranged, type Card, type Spot } from './arrange.ts';
import { type ArrowLine, arrowLine, stubLine } from './arrows.ts';
import { wayKey } from './words.ts';

/** Height of the line with a screen's name above its picture. */
export const headHeight = 28;

/** How wide pictures are on the map, at least and at most, and how high at most. */
const picture = { narrowest: 150, widest: 280, highest: 260, part: 0.42 };

/** A mark of a screen: what it is, or what is wrong with it. */
export type Mark = 'start' | 'dialog' | 'splash' | 'unreached' | 'noWayOut';

/** A screen on the map. */
export interface MapCard extends Card {
  readonly id: string;
  /** Of the picture: how much smaller than the screen it is, and its height. */
  readonly scale: number;
  readonly pictureHeight: number;
  readonly marks: readonly Mark[];
}

/** A way on the map. */
export interface MapArrow {
  readonly key: string;
  readonly way: Way;
  readonly line: ArrowLine;
  /** It leads to no screen that is there. */
  readonly isNowhere: boolean;
}

export interface MapModel {
  readonly cards: readonly MapCard[];
  readonly spots: ReadonlyMap<string, Spot>;
  readonly ways: readonly Way[];
  readonly reach: Reach;
}

function marksOf(project: Project, reach: Reach, screen: Project['screens'][number]): Mark[] {
  const { name = '', props } = screen;
  return [
    ...(screen === startScreen(project) ? (['start'] as const) : []),
    ...(isDialog(screen) ? (['dialog'] as const) : []),
    ...(props.splash === undefined ? [] : (['splash'] as const)),
    ...(reach.unreached.has(name) ? (['unreached'] as const) : []),
    ...(reach.noWayOut.has(name) ? (['noWayOut'] as const) : []),
  ];
}

/** Cards of all screens, at their places. */
export function mapOf(project: Project, size: ScreenSize): MapModel {
  const ways = waysOf(project);
  const reach = reachOf(project);
  const width = Math.round(Math.min(picture.widest, Math.max(picture.narrowest, size.width * picture.part)));
  const scale = width / size.width;
  const pictureHeight = Math.round(Math.min(picture.highest, size.height * scale));
  const cards = project.screens.map(
    (screen): MapCard => ({
      id: screen.id,
      name: screen.name ?? '',
      width,
      height: headHeight + pictureHeight,
      folder: folderOf(project.folders, screen.name)?.name,
      scale,
      pictureHeight,
      marks: marksOf(project, reach, screen),
    }),
  );
  const own = ways.filter(({ by, isAround }) => !isAround && by !== 'place');
  const links = [
    ...new Map(own.flatMap(({ from, to }) => (to ? [[`${from} ${to}`, [from, to] as const]] : []))).values(),
  ];
  const kept = new Map((project.map ?? []).map(({ screen, x, y }) => [screen, { x, y }]));
  return { cards, spots: arranged(cards, links, kept), ways, reach };
}

const areaOfCard = (card: Card, spots: ReadonlyMap<string, Spot>): Area => ({
  ...(spots.get(card.name) ?? { x: 0, y: 0 }),
  width: card.width,
  height: card.height,
});

/** Where a control is on its card's picture, cut to it; the card's head where it is not seen. */
function controlArea(card: MapCard, spot: Spot, layout: ScreenLayout | undefined, control: string): Area {
  const box = layout?.byControl.get(control);
  const head = { ...spot, width: card.width, height: headHeight };
  if (!box || box.width <= 0 || control === card.id) return head;
  const top = Math.min(box.y * card.scale, card.pictureHeight);
  // What lies below the cut leaves at the card's edge.
  if (top >= card.pictureHeight)
    return { x: spot.x, y: spot.y + headHeight + card.pictureHeight - 6, width: card.width, height: 0 };
  const bottom = Math.min((box.y + box.height) * card.scale, card.pictureHeight);
  const left = Math.max(0, Math.min(box.x * card.scale, card.width));
  const right = Math.max(left, Math.min((box.x + box.width) * card.scale, card.width));
  return { x: spot.x + left, y: spot.y + headHeight + top, width: right - left, height: bottom - top };
}

/**
 * The arrows between cards.
 *
 * @param isShown which ways are drawn.
 */
export function arrowsOf(
  { cards, spots, ways }: MapModel,
  layouts: ReadonlyMap<string, ScreenLayout>,
  isShown: (way: Way) => boolean,
): readonly MapArrow[] {
  const byName = new Map(cards.map((card) => [card.name, card]));
  const counts = new Map<string, number>();
  const told = new Set<string>();
  return ways.flatMap((way): MapArrow[] => {
    const card = byName.get(way.from);
    if (!card || way.to === undefined || way.to === way.from || !isShown(way)) return [];
    if (way.by === 'place') {
      // Of several navigations, each for some widths, the one that is shown stands for all.
      const isAway = layouts.get(way.from)?.byControl.get(way.control) === undefined;
      if (isAway || told.has(`${way.from} ${way.to}`)) return [];
      told.add(`${way.from} ${way.to}`);
    }
    const from = controlArea(
      card,
      spots.get(card.name) ?? { x: 0, y: 0 },
      layouts.get(card.name),
      way.control,
    );
    const target = byName.get(way.to);
    const key = wayKey(way);
    if (!target) return [{ key, way, line: stubLine(from), isNowhere: true }];
    const pair = `${way.from} ${way.to}`;
    const count = counts.get(pair) ?? 0;
    counts.set(pair, count + 1);
    // 0, 1, -1, 2, -2: around the middle.
    const lane = Math.ceil(count / 2) * (count % 2 === 0 ? -1 : 1);
    return [{ key, way, line: arrowLine(from, areaOfCard(target, spots), lane), isNowhere: false }];
  });
}

/** A folder on the map. */
export interface MapFolder extends Area {
  readonly name: string;
}

/** The areas of the folders that have screens. */
export const foldersOn = ({ cards, spots }: MapModel, project: Project): readonly MapFolder[] =>
  (project.folders ?? []).flatMap(({ name }) => {
    const area = areaAround(
      cards.filter(({ folder }) => folder === name),
      spots,
    );
    return area ? [{ ...area, name }] : [];
  });

/** How far the map reaches, its origin included. */
export function extentOf({ cards, spots }: MapModel): Area {
  const area = areaAround(cards, spots, { side: 60, top: 80 });
  return area ?? { x: 0, y: 0, width: 400, height: 300 };
}
