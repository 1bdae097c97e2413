/** The map as one SVG file: folders, pictures, arrows. */
import type { ScreenLayout } from '@hovrin/core';
import type { Area } from './arrange.ts';
import { headHeight, type MapArrow, type MapFolder, type MapModel } from './mapModel.ts';

const colours = {
  ground: '#f5f1e8',
  sheet: '#fffdf8',
  rule: '#d6cfbf',
  edge: '#8d8777',
  ink: '#1f2a24',
  way: '#2f5d50',
  wrong: '#a5342a',
};

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');

const words = (x: number, y: number, text: string, colour = colours.ink) =>
  `<text x="${x}" y="${y}" font-family="Hanken Grotesk, sans-serif" font-weight="600" font-size="13" fill="${colour}">${escaped(text)}</text>`;

const dashOf = ({ way: { by, isAround } }: MapArrow): string =>
  by === 'open' ? ' stroke-dasharray="7 5"' : isAround || by === 'place' ? ' stroke-dasharray="1.5 4"' : '';

interface Drawn {
  readonly model: MapModel;
  readonly folders: readonly MapFolder[];
  readonly arrows: readonly MapArrow[];
  readonly layouts: ReadonlyMap<string, ScreenLayout>;
  readonly extent: Area;
}

/** An SVG file of a screen as a part of another at a place, at a scale; clips keep their own names. */
export function placedSvg(svg: string, part: string, { x, y, width, height }: Area): string {
  const own = svg.slice(svg.indexOf('<svg')).replaceAll(/\bclip(\d+)\b/g, `clip${part}-$1`);
  const [, w = '', h = ''] = /<svg[^>]*?\swidth="([\d.]+)"[^>]*?\sheight="([\d.]+)"/.exec(own) ?? [];
  const view = /<svg[^>]*?\sviewBox=/.test(own) ? '' : ` viewBox="0 0 ${w} ${h}"`;
  const head = own
    .slice(0, own.indexOf('>'))
    .replace(/\swidth="[\d.]+"/, ` width="${width}"`)
    .replace(/\sheight="[\d.]+"/, ` height="${height}"`);
  return `${head.replace('<svg', `<svg x="${x}" y="${y}" preserveAspectRatio="xMidYMin slice"${view}`)}${own.slice(own.indexOf('>'))}`;
}

/**
 * @param draw one screen as SVG, with all that it needs in it; `height` is what is shown of it, CSS px.
 * @returns the file, and its size in CSS px.
 */
export async function mapPicture(
  { model, folders, arrows, layouts, extent }: Drawn,
  draw: (layout: ScreenLayout, height: number) => Promise<string>,
): Promise<{ svg: string; width: number; height: number }> {
  const parts: string[] = folders.map(
    ({ name, x, y, width, height }) =>
      `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="8" fill="#ebe5d8" stroke="${colours.rule}"/>${words(x + 16, y + 24, name, '#59625b')}`,
  );
  for (const [index, card] of model.cards.entries()) {
    const spot = model.spots.get(card.name) ?? { x: 0, y: 0 };
    const { x, y } = spot;
    const layout = layouts.get(card.name);
    const picture = { x, y: y + headHeight, width: card.width, height: card.pictureHeight };
    parts.push(
      `<rect x="${x}" y="${y}" width="${card.width}" height="${card.height}" rx="4" fill="${colours.sheet}" stroke="${colours.edge}"/>`,
      words(x + 8, y + 19, card.name),
    );
    if (layout)
      parts.push(placedSvg(await draw(layout, card.pictureHeight / card.scale), String(index), picture));
  }
  for (const arrow of arrows) {
    const colour = arrow.isNowhere ? colours.wrong : colours.way;
    const head = arrow.isNowhere ? 'nowhere' : 'head';
    parts.push(
      `<path d="${arrow.line.path}" fill="none" stroke="${colour}" stroke-width="1.75"${dashOf(arrow)} marker-end="url(#${head})"/>`,
    );
    if (arrow.isNowhere)
      parts.push(words(arrow.line.middle.x + 10, arrow.line.middle.y + 4, arrow.way.to ?? '', colour));
  }
  const markers = `<defs><marker id="head" viewBox="0 0 10 10" refX="9" refY="5" markerWidth="7" markerHeight="7" orient="auto"><path d="M0 0L10 5L0 10L2.6 5z" fill="${colours.way}"/></marker><marker id="nowhere" viewBox="0 0 10 10" refX="5" refY="5" markerWidth="9" markerHeight="9" orient="auto"><path d="M1 1L9 9M9 1L1 9" stroke="${colours.wrong}" stroke-width="2"/></marker></defs>`;
  const { x, y, width, height } = extent;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="${x} ${y} ${width} ${height}">${markers}<rect x="${x}" y="${y}" width="${width}" height="${height}" fill="${colours.ground}"/>${parts.join('')}</svg>`;
  return { svg, width, height };
}
