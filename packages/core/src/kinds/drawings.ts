/** Small drawings of the kinds' own parts, the same on the bench and, as a background, on a page. */
import type { Drawing, Shape } from './kind.ts';

export const tick: Drawing = {
  size: [16, 16],
  shapes: [
    ['path', { d: 'M3 8.5l3.2 3.2L13 4.8', fill: 'none', stroke: 'currentColor', 'stroke-width': 2.2 }],
  ],
  place: 'middle',
};
export const dot: Drawing = {
  size: [16, 16],
  shapes: [['circle', { cx: 8, cy: 8, r: 4, fill: 'currentColor' }]],
  place: 'middle',
};
/** Points down: there is a list to open. */
export const chevron: Drawing = {
  size: [16, 16],
  shapes: [['path', { d: 'M4 6l4 4 4-4', fill: 'none', stroke: 'currentColor', 'stroke-width': 1.8 }]],
  place: 16,
};

/** A drawing as a background image of a page; what takes the colour around it takes this one. */
export function asBackground({ size, shapes }: Drawing, colour: string): string {
  const inner = shapes.map(
    ([tag, attributes]) =>
      `<${tag}${Object.entries(attributes)
        .map(([name, value]) => ` ${name}="${value}"`)
        .join('')}/>`,
  );
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size.join(' ')}">${inner.join('')}</svg>`;
  return `url('data:image/svg+xml,${svg.replaceAll('currentColor', colour).replaceAll('#', '%23')}')`;
}

/** An icon's strokes as a drawing. */
export const iconDrawing = (shapes: readonly Shape[], place: Drawing['place'] = 'middle'): Drawing => ({
  size: [24, 24],
  shapes: shapes.map(([tag, attributes]) => [
    tag,
    {
      fill: 'none',
      stroke: 'currentColor',
      'stroke-width': 2,
      'stroke-linecap': 'round',
      'stroke-linejoin': 'round',
      ...attributes,
    },
  ]),
  place,
});

/** Attributes of an `svg` element that shows an icon. */
export const iconAttributes = {
  viewBox: '0 0 24 24',
  fill: 'none',
  stroke: 'currentColor',
  'stroke-width': '2',
  'stroke-linecap': 'round',
  'stroke-linejoin': 'round',
  'aria-hidden': 'true',
} as const;
