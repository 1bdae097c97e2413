/** Numbers as a line or as bars. */

import { nice, tickStep } from 'd3-array';
import type { Values } from '../cascade/values.ts';
import type { Shape } from '../icons/icon-set.ts';
import { chartType, colourType, entriesType, listType } from '../property-types/index.ts';
import { colourCss } from '../values/theme.ts';
import { shownEvents } from './events.ts';
import { columnOf, content } from './field.ts';
import type { Kind, Manner, PageElement } from './kind.ts';
import { inside } from './made-anew.ts';
import { boxLook, padding, placing, sizing, words } from './properties.ts';

const own = {
  label: words('label', 'Label', { as: 'inside' }),
  type: content('type', 'Type', chartType, { default: 'line', effect: 'layout' }),
  data: content('data', 'Numbers', listType, { effect: 'layout', page: { as: 'inside' } }),
  labels: content('labels', 'Labels', entriesType, { effect: 'layout', page: { as: 'inside' } }),
  stroke: content('stroke', 'Colour', colourType, {
    group: 'look',
    default: 'accent',
    page: { as: 'inside' },
  }),
};

/** What a chart is drawn from: shapes on a square of 100 by 100, and the words of its axes. */
interface Drawn {
  readonly shapes: readonly Shape[];
  readonly greatest: string;
  readonly least: string;
  readonly first: string;
  readonly last: string;
}

const plain = {
  'vector-effect': 'non-scaling-stroke',
  'stroke-width': 2,
  'stroke-linejoin': 'round',
} as const;

function draw(values: Values): Drawn {
  const numbers = (values.get(own.data) ?? []).map(Number).filter((value) => Number.isFinite(value));
  const labels = values.get(own.labels) ?? [];
  const type = values.text(own.type) || 'line';
  // Bars stand on nothing, so their scale begins there.
  const ends = type === 'bar' ? [0, ...numbers] : numbers;
  const within = ends.length > 0 ? ([Math.min(...ends), Math.max(...ends)] as const) : ([0, 0] as const);
  const [least, greatest] = type === 'sparkline' || within[0] === within[1] ? within : nice(...within, 4);
  const y = (value: number) => (least === greatest ? 50 : 100 - ((value - least) / (greatest - least)) * 100);
  const x = (index: number) => (index / Math.max(1, numbers.length - 1)) * 100;
  let shapes: Shape[] = [];
  if (type === 'bar') {
    // A quarter of a bar's share is free between two of them, and as much at both ends.
    const share = 100 / (numbers.length + barGap);
    const width = share * (1 - barGap);
    shapes = numbers.map((value, index) => [
      'rect',
      {
        x: round(share * (index + barGap)),
        y: round(Math.min(y(value), y(0))),
        width: round(width),
        height: round(Math.abs(y(value) - y(0))),
        fill: 'currentColor',
      },
    ]);
  } else if (numbers.length > 0) {
    const places = numbers.map((value, index) => `${fine(x(index))},${fine(y(value))}`);
    // One number alone is a dot as wide as the line.
    const over = `M${places.join('L')}${places.length === 1 ? 'Z' : ''}`;
    const under = `${over}L${fine(x(numbers.length - 1))},100L0,100Z`;
    shapes = [
      ...(type === 'line' ? [['path', { d: under, fill: 'currentColor', opacity: 0.12 }] as const] : []),
      ['path', { d: over, fill: 'none', stroke: 'currentColor', ...plain }],
    ];
  }
  return {
    shapes,
    greatest: axisText(greatest, least, greatest),
    least: axisText(least, least, greatest),
    first: labels[0]?.label ?? '',
    last: labels.length > 1 ? (labels.at(-1)?.label ?? '') : '',
  };
}

/** The part of a bar's share that is free. */
const barGap = 0.25;

/** A number at the end of an axis, as fine as the steps between its ends. */
function axisText(value: number, least: number, greatest: number): string {
  const step = least === greatest ? Math.abs(value) || 1 : tickStep(least, greatest, 4);
  const places = Math.min(20, Math.max(0, -Math.floor(Math.log10(step) + 1e-9)));
  const options = { minimumFractionDigits: places, maximumFractionDigits: places };
  return new Intl.NumberFormat('en-US', options).format(value).replace('-', '−');
}

const round = (value: number): number => Number(value.toFixed(2));
const fine = (value: number): number => Number(value.toFixed(3));

/** The element of a chart, with all that is drawn in it. */
export function chartElement(values: Values): PageElement {
  const drawn = draw(values);
  const label = values.text(own.label);
  const sparkline = values.text(own.type) === 'sparkline';
  const say = (text: string): PageElement => ({ tag: 'span', text });
  const numbers = (values.get(own.data) ?? []).slice(0, 40).join(', ');
  return {
    tag: 'div',
    attributes: { role: 'img', 'aria-label': [label, numbers].filter(Boolean).join(': ') },
    children: [
      ...(label ? [say(label)] : []),
      {
        tag: 'div',
        classes: ['part-body', ...(sparkline ? ['part-low'] : [])],
        children: [
          ...(sparkline
            ? []
            : [{ tag: 'div', classes: ['part-scale'], children: [say(drawn.greatest), say(drawn.least)] }]),
          {
            tag: 'div',
            classes: ['part-plot'],
            attributes: { style: `color: ${colourCss(values.get(own.stroke) ?? 'accent')}` },
            children: [
              {
                tag: 'svg',
                attributes: { viewBox: '0 0 100 100', preserveAspectRatio: 'none' },
                children: drawn.shapes.map(([tag, attributes]) => ({ tag, attributes })),
              },
            ],
          },
        ],
      },
      ...(!sparkline && (drawn.first || drawn.last)
        ? [{ tag: 'div', classes: ['part-foot'], children: [say(drawn.first), say(drawn.last)] }]
        : []),
    ],
  };
}

export const manner: Manner = { anew: (values) => inside(chartElement(values)) };

export const chart: Kind = {
  name: 'chart',
  label: 'Chart',
  group: 'show',
  purpose: 'Numbers as a line, as bars, or as a sparkline between words.',
  glyph: 'chart-line',
  findBy: ['graph', 'plot', 'line', 'bar', 'sparkline', 'trend', 'diagram', 'history', 'live'],
  container: false,
  manner,
  properties: [
    own.label,
    own.type,
    own.data,
    own.labels,
    ...sizing,
    ...placing(),
    padding,
    ...boxLook(),
    own.stroke,
  ],
  events: shownEvents,
  starter: {
    label: 'Guests',
    data: '{[18, 24, 21, 33, 46, 40, 29]}',
    labels: 'Mon | Tue | Wed | Thu | Fri | Sat | Sun',
  },
  inside(values, make) {
    const drawn = draw(values);
    const style = make.plain({ size: make.theme.chartTextSize });
    const sparkline = values.text(own.type) === 'sparkline';
    const say = (text: string) => make.words(text, style, { colour: make.colour('quiet'), text: style });
    const plot = make.blank(
      { width: make.theme.chartWidth, height: 0 },
      {
        colour: make.colour(values.get(own.stroke) ?? 'accent'),
        drawing: { size: [100, 100], shapes: drawn.shapes, place: 'stretch' },
      },
      { width: { share: 1 } },
    );
    const row = { ...columnOf, direction: 'row' as const, columnGap: make.theme.checkGap };
    const height = sparkline ? make.theme.sparklineHeight : make.theme.chartHeight;
    const body = make.group(
      row,
      sparkline
        ? [plot]
        : [
            make.group({ ...columnOf, align: 'end', justify: 'between' }, [
              say(drawn.greatest),
              say(drawn.least),
            ]),
            plot,
          ],
      { height: { share: 1 }, minHeight: height },
    );
    const foot =
      drawn.first || drawn.last
        ? [make.group({ ...row, justify: 'between' }, [say(drawn.first), say(drawn.last)])]
        : [];
    return {
      content: { ...columnOf, rowGap: make.theme.labelGap },
      parts: [
        ...(values.text(own.label) ? [say(values.text(own.label))] : []),
        body,
        ...(sparkline ? [] : foot),
      ],
    };
  },
  element: chartElement,
  css: (theme) => `.k-chart {
  display: flex;
  flex-direction: column;
  gap: ${theme.labelGap}px;
  font-size: ${theme.chartTextSize / 16}rem;
  color: var(--quiet);
}
.k-chart span {
  display: block;
  white-space-collapse: preserve-breaks;
}
.k-chart > .part-body {
  display: flex;
  flex: 1 1 0px;
  gap: ${theme.checkGap}px;
  min-height: ${theme.chartHeight}px;
}
.k-chart > .part-low {
  min-height: ${theme.sparklineHeight}px;
}
.k-chart .part-scale {
  display: flex;
  flex-direction: column;
  align-items: end;
  justify-content: space-between;
}
.k-chart .part-plot {
  position: relative;
  flex: 1 1 0px;
  min-width: 0;
}
.k-chart .part-plot::before {
  content: "";
  display: block;
  width: ${theme.chartWidth}px;
}
.k-chart .part-plot > svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
}
.k-chart > .part-foot {
  display: flex;
  justify-content: space-between;
  gap: ${theme.checkGap}px;
}`,
};
