/** Small drawings of the kinds' own parts, the same on the bench and, as a background, on a page. */
import type { Shape } from '../icons/icon-set.ts';
import type { Drawing } from './kind.ts';

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
/**
 * What signs inside fields are drawn in: quieter than the words, and 3:1 from light and from dark sheets (WCAG 2.2, 1.4.11).
 * A background picture cannot follow the colours of the page.
 */
export const signColour = '#7f8a83';
const sign = (d: string): Drawing => ({
  size: [16, 16],
  shapes: [['path', { d, fill: 'none', stroke: signColour, 'stroke-width': 1.8 }]],
  place: 16,
});
/** Points down: there is a list to open. */
export const chevron = sign('M4 6l4 4 4-4');
/** A day is chosen there. */
export const calendar = sign('M2.5 4h11v9.5h-11zM2.5 7h11M5.5 2v3M10.5 2v3');
/** A time is chosen there. */
export const clock = sign('M8 2.5a5.5 5.5 0 1 0 .01 0zM8 5v3.2l2 1.6');

/** What opens the choice of a date or a time, drawn as on the bench; where a browser draws its own, that one stays. */
export const pickerCss = (kind: string, drawing: Drawing): string =>
  `.k-${kind} > .part-input::-webkit-calendar-picker-indicator {
  width: 16px;
  height: 16px;
  margin-inline-end: -2px;
  padding: 0;
  background: ${asBackground(drawing, signColour)} center / 16px no-repeat;
}
${[
  '',
  '-fields-wrapper',
  '-day-field',
  '-month-field',
  '-year-field',
  '-hour-field',
  '-minute-field',
  '-ampm-field',
]
  .map((part) => `.k-${kind} > .part-input::-webkit-datetime-edit${part}`)
  .join(',\n')} {
  padding: 0;
}`;

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

/** How the strokes of icons are drawn. */
export const iconStrokes = {
  fill: 'none',
  stroke: 'currentColor',
  'stroke-width': 2,
  'stroke-linecap': 'round',
  'stroke-linejoin': 'round',
} as const;

/** An icon's strokes as a drawing. */
export const iconDrawing = (shapes: readonly Shape[], place: Drawing['place'] = 'middle'): Drawing => ({
  size: [24, 24],
  shapes: shapes.map(([tag, attributes]) => [tag, { ...iconStrokes, ...attributes }]),
  place,
});

/** Attributes of an `svg` element that shows an icon. */
export const iconAttributes = { 'aria-hidden': 'true' } as const;
