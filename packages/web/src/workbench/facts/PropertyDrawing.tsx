/** A small drawing of what a property does: ink for the control, spruce for what the property moves or makes. */
import type { Property } from '@hovrin/core';
import type { ReactElement } from 'react';

const box = (x: number, y: number, width: number, height: number, look = 'fill-quiet/50') => (
  <rect key={`${x} ${y} ${width} ${height}`} x={x} y={y} width={width} height={height} className={look} />
);
const moved = 'fill-spruce';
const outline = 'fill-none stroke-quiet';
const room = 'fill-spruce/40';
const frame = box(2.5, 2.5, 23, 23, outline);
const line = (path: string, look = 'stroke-spruce') => (
  <path key={path} d={path} className={`fill-none ${look}`} strokeWidth="1.6" />
);
const arrows = (across: boolean, look = 'stroke-spruce') =>
  line(
    across ? 'M4 14H24M7 11L4 14L7 17M21 11L24 14L21 17' : 'M14 4V24M11 7L14 4L17 7M11 21L14 24L17 21',
    look,
  );

/** By the property's name, 28 × 28. */
const drawings: Readonly<Record<string, readonly ReactElement[]>> = {
  padding: [box(2, 2, 24, 24, room), box(8, 8, 12, 12, 'fill-sheet'), box(10, 10, 8, 8)],
  margin: [box(2, 2, 24, 24, room), box(7, 7, 14, 14, 'fill-sheet'), box(8.5, 8.5, 11, 11, outline)],
  gap: [box(3, 6, 7, 16), box(18, 6, 7, 16), box(11, 6, 6, 16, room)],
  'column-gap': [box(3, 6, 7, 16), box(18, 6, 7, 16), box(11, 6, 6, 16, room)],
  'row-gap': [box(6, 3, 16, 7), box(6, 18, 16, 7), box(6, 11, 16, 6, room)],
  width: [box(4, 8, 20, 12), arrows(true)],
  height: [box(8, 4, 12, 20), arrows(false)],
  'min-width': [box(9, 8, 10, 12), line('M4 5V23M24 5V23'), line('M8 14H20', 'stroke-ink')],
  'max-width': [box(4, 8, 20, 12), line('M3 5V23M25 5V23')],
  'min-height': [box(8, 9, 12, 10), line('M5 4H23M5 24H23'), line('M14 8V20', 'stroke-ink')],
  'max-height': [box(8, 4, 12, 20), line('M5 3H23M5 25H23')],
  aspect: [box(3, 7, 22, 14, outline), line('M5 19L23 9')],
  align: [frame, box(6, 6, 4, 7, moved), box(12, 6, 4, 12, moved), box(18, 6, 4, 9, moved)],
  justify: [frame, box(5, 9, 4, 10, moved), box(12, 9, 4, 10, moved), box(19, 9, 4, 10, moved)],
  'align-self': [frame, box(6, 5, 4, 8), box(12, 15, 4, 8, moved), box(18, 5, 4, 8)],
  'justify-self': [frame, box(15, 9, 8, 10, moved)],
  like: [
    box(3, 4, 6, 9),
    box(11, 4, 6, 9),
    box(19, 4, 6, 9),
    box(3, 16, 22, 3, moved),
    box(3, 21, 22, 3, moved),
  ],
  wrap: [box(3, 5, 9, 6), box(14, 5, 9, 6), box(3, 16, 9, 6, moved), line('M25 8V13H6', 'stroke-ink')],
  columns: [frame, line('M10 3V25M18 3V25')],
  rows: [frame, line('M3 10H25M3 18H25')],
  'auto-columns': [frame, line('M10 3V25'), line('M18 3V25', 'stroke-quiet')],
  'auto-rows': [frame, line('M3 10H25'), line('M3 18H25', 'stroke-quiet')],
  flow: [frame, line('M6 9H21L7 19H22M19 16L22 19L19 22')],
  'col-span': [frame, line('M10 3V25M18 3V25', 'stroke-quiet'), box(4, 7, 13, 14, moved)],
  'row-span': [frame, line('M3 10H25M3 18H25', 'stroke-quiet'), box(7, 4, 14, 13, moved)],
  col: [frame, line('M10 3V25M18 3V25', 'stroke-quiet'), box(11, 7, 6, 14, moved)],
  row: [frame, line('M3 10H25M3 18H25', 'stroke-quiet'), box(7, 11, 14, 6, moved)],
  left: [frame, box(12, 9, 9, 10), line('M3 14H12')],
  right: [frame, box(7, 9, 9, 10), line('M16 14H25')],
  top: [frame, box(9, 12, 10, 9), line('M14 3V12')],
  bottom: [frame, box(9, 7, 10, 9), line('M14 16V25')],
  'center-x': [frame, box(9, 9, 10, 10), line('M14 3V25')],
  'center-y': [frame, box(9, 9, 10, 10), line('M3 14H25')],
  order: [
    box(3, 9, 6, 10, moved),
    box(11, 9, 6, 10),
    box(19, 9, 6, 10),
    line('M22 7C18 2 10 2 6 7M6 3V7H10', 'stroke-ink'),
  ],
  ratio: [box(3, 5, 7, 18), box(12, 5, 13, 18, moved)],
  hidden: [box(4, 8, 20, 12, 'fill-none stroke-quiet [stroke-dasharray:2_2]')],
  background: [box(4, 6, 20, 16, moved)],
  'border-width': [
    <rect key="b" x="5" y="7" width="18" height="14" className="fill-none stroke-spruce" strokeWidth="3" />,
  ],
  'border-color': [
    <rect key="b" x="5" y="7" width="18" height="14" className="fill-none stroke-spruce" strokeWidth="2" />,
  ],
  corner: [line('M5 23V13A8 8 0 0 1 13 5H23')],
  shadow: [box(8, 9, 16, 14, room), box(5, 6, 16, 14, 'fill-sheet stroke-quiet')],
  opacity: [box(4, 6, 12, 16), box(12, 6, 12, 16, room)],
  rotate: [line('M21 9A9 9 0 1 0 23 15M22 4V9H17')],
  scale: [box(4, 14, 10, 10), line('M13 13L23 4M16 4H23V11')],
  shift: [box(4, 4, 12, 12, 'fill-none stroke-quiet [stroke-dasharray:2_2]'), box(12, 12, 12, 12, moved)],
  clip: [frame, box(9, 9, 16, 16, moved), box(26, 9, 2, 16, room)],
  color: [line('M7 23L14 5L21 23M9.5 17H18.5')],
  size: [line('M3 23L8 10L13 23M5 19H11', 'stroke-quiet'), line('M13 23L19 5L25 23M15 17H23')],
  weight: [
    <path key="w" d="M7 23L14 5L21 23M9.5 17H18.5" className="fill-none stroke-spruce" strokeWidth="3.6" />,
  ],
  'line-height': [
    line('M10 5H25M10 14H25M10 23H25', 'stroke-quiet'),
    line('M5 5V23M3 8L5 5L7 8M3 20L5 23L7 20'),
  ],
  'text-align': [line('M4 6H24M4 12H16M4 18H24M4 24H14')],
  lines: [line('M4 8H24M4 14H24'), line('M4 20H12M15 20H16M18 20H19M21 20H22', 'stroke-quiet')],
  z: [box(4, 4, 14, 14), box(10, 10, 14, 14, moved)],
};

/** Without a drawing of its own a property has a plain square. */
export const PropertyDrawing = ({ property: { name } }: { property: Property }) => (
  <svg viewBox="0 0 28 28" width="28" height="28" aria-hidden className="shrink-0">
    {drawings[name.replace(/^part\([^)]*\)\./, '')] ?? box(10, 10, 8, 8, 'fill-none stroke-quiet')}
  </svg>
);
