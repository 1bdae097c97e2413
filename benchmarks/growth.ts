/** How the time grows with the number of controls: per control, as a multiple of that at 1,000. */
import { boxesFor, type Control, layOutRoot, passOf } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { scaleLog } from 'd3-scale';
import { line } from 'd3-shape';
import { median, time } from './measure.ts';
import { nests, projectOf, rows } from './trees.ts';

export interface Growth {
  readonly shape: string;
  /** Controls and time per control, as a multiple of the first. */
  readonly points: readonly { readonly controls: number; readonly times: number }[];
}

const count = (control: Control): number => control.children.reduce((sum, child) => sum + count(child), 1);

export function growth(shaper: Shaper): Growth[] {
  const shapes: [string, (size: number) => Control, number[]][] = [
    ['rows of 20', (size) => rows(Math.round(size / 21), 20), [1000, 2000, 4000, 8000, 16000, 32000, 64000]],
    [
      'nests of 98 levels',
      (size) => nests(98, Math.round(size / 99)),
      [1000, 2000, 4000, 8000, 16000, 32000, 64000],
    ],
    ['one row', (size) => rows(1, size), [1000, 2000, 5000, 10000]],
  ];
  return shapes.map(([shape, make, sizes]) => {
    const found = sizes.map((size) => {
      const screen = make(size);
      const project = projectOf(screen);
      const view = { width: 1280, height: 800 };
      const once = () => {
        layOutRoot(passOf('nothing'), boxesFor(shaper, project, view).box(screen)!, view);
      };
      once();
      return {
        controls: count(screen),
        ms: median(Array.from({ length: size > 16000 ? 5 : 11 }, () => time(once))),
      };
    });
    const base = found[0]!.ms / found[0]!.controls;
    return {
      shape,
      points: found.map(({ controls, ms }) => ({
        controls,
        times: Number((ms / controls / base).toFixed(2)),
      })),
    };
  });
}

const colours = ['#2f5d50', '#b86b35', '#2e7c8f'];

/** The growth as a drawing: flat lines mean that time grows with the number of controls and not faster. */
export function growthPlot(found: readonly Growth[]): string {
  const [width, height, left, bottom] = [640, 300, 60, 40];
  const x = scaleLog([900, 70_000], [left, width - 130]);
  const y = scaleLog([0.2, 5], [height - bottom, 20]);
  const draw = line<Growth['points'][number]>()
    .x(({ controls }) => x(controls))
    .y(({ times }) => y(times));
  const text = 'font-family="sans-serif" font-size="12" fill="#1f2a24"';
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">
<rect width="${width}" height="${height}" fill="#fffdf8"/>
${[0.25, 0.5, 1, 2, 4].map((tick) => `<line x1="${left}" x2="${width - 130}" y1="${y(tick)}" y2="${y(tick)}" stroke="#d8d2c4"/><text x="${left - 8}" y="${y(tick) + 4}" text-anchor="end" ${text}>${tick} ×</text>`).join('\n')}
${[1000, 2000, 4000, 8000, 16000, 32000, 64000].map((tick) => `<text x="${x(tick)}" y="${height - 18}" text-anchor="middle" ${text}>${tick / 1000}k</text>`).join('\n')}
${found.map(({ points, shape }, index) => `<path d="${draw([...points])}" fill="none" stroke="${colours[index]}" stroke-width="2"/><text x="${x(points.at(-1)!.controls) + 8}" y="${y(points.at(-1)!.times) + 4}" ${text}>${shape}</text>`).join('\n')}
<text x="${left}" y="14" ${text}>time per control, against that at 1,000 controls</text>
</svg>
`;
}
