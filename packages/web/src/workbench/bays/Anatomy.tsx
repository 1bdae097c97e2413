/** What a control is made of: its margin, its padding, the gaps between its children, the tracks of its grid. */
import type { Rectangle, ScreenBox, ScreenLayout } from '@hovrin/core';

/** A part of a control's anatomy, CSS px from the screen's corner. */
export interface AnatomyPart extends Rectangle {
  readonly part: 'margin' | 'padding' | 'gap' | 'track';
}

/**
 * @param rightToLeft whether start sides lie at the right.
 * @returns the parts that take up room, outermost first; tracks are numbered in the order of their axis.
 */
export function anatomyOf(box: ScreenBox, layout: ScreenLayout, rightToLeft = false): AnatomyPart[] {
  const { style, content } = box.box;
  const physical = ({ top, end, bottom, start }: typeof style.margin) =>
    rightToLeft ? { top, right: start, bottom, left: end } : { top, right: end, bottom, left: start };
  const parts: AnatomyPart[] = [];
  const frame = (part: 'margin' | 'padding', outer: Rectangle, sides: ReturnType<typeof physical>) => {
    const { top, right, bottom, left } = sides;
    const strip = (x: number, y: number, width: number, height: number) => {
      if (width > 0 && height > 0) parts.push({ part, x, y, width, height });
    };
    strip(outer.x, outer.y, outer.width, top);
    strip(outer.x, outer.y + outer.height - bottom, outer.width, bottom);
    strip(outer.x, outer.y + top, left, outer.height - top - bottom);
    strip(outer.x + outer.width - right, outer.y + top, right, outer.height - top - bottom);
  };
  const margin = physical(style.margin);
  frame(
    'margin',
    {
      x: box.x - margin.left,
      y: box.y - margin.top,
      width: box.width + margin.left + margin.right,
      height: box.height + margin.top + margin.bottom,
    },
    margin,
  );
  const border = physical(style.border);
  const inside: Rectangle = {
    x: box.x + border.left,
    y: box.y + border.top,
    width: box.width - border.left - border.right,
    height: box.height - border.top - border.bottom,
  };
  const padding = physical(style.padding);
  frame('padding', inside, padding);
  const inner: Rectangle = {
    x: inside.x + padding.left,
    y: inside.y + padding.top,
    width: inside.width - padding.left - padding.right,
    height: inside.height - padding.top - padding.bottom,
  };
  if (box.tracks) {
    for (const { start, size } of box.tracks.columns) {
      const x = rightToLeft ? box.x + box.width - start - size : box.x + start;
      parts.push({ part: 'track', x, y: inner.y, width: size, height: inner.height });
    }
    for (const { start, size } of box.tracks.rows)
      parts.push({ part: 'track', x: inner.x, y: box.y + start, width: inner.width, height: size });
  } else if (content.type === 'flex') {
    const row = content.direction === 'row';
    const gap = row ? content.columnGap : content.rowGap;
    const children = box.box.children
      .flatMap(({ control }) => (control === undefined ? [] : (layout.byControl.get(control) ?? [])))
      .toSorted((a, b) => (row ? a.x - b.x : a.y - b.y));
    for (const [index, child] of children.entries()) {
      const next = children[index + 1];
      if (!next || gap <= 0) continue;
      const at = row ? child.x + child.width : child.y + child.height;
      const until = row ? next.x : next.y;
      if (until - at < gap - 0.1) continue;
      parts.push(
        row
          ? { part: 'gap', x: at, y: inner.y, width: gap, height: inner.height }
          : { part: 'gap', x: inner.x, y: at, width: inner.width, height: gap },
      );
    }
  }
  return parts;
}

const looks: Record<AnatomyPart['part'], React.CSSProperties> = {
  margin: { background: 'repeating-linear-gradient(45deg, #59625b55 0 1px, transparent 1px 5px)' },
  padding: { background: '#2f5d5026' },
  gap: { background: 'repeating-linear-gradient(-45deg, #2f5d5066 0 1px, transparent 1px 4px)' },
  track: { outline: '1px dashed #2f5d5099', outlineOffset: -0.5 },
};

export function Anatomy({ box, layout, scale }: { box: ScreenBox; layout: ScreenLayout; scale: number }) {
  return anatomyOf(box, layout).map(({ part, x, y, width, height }, index) => (
    <div
      // biome-ignore lint/suspicious/noArrayIndexKey: parts hold nothing of their own and only move.
      key={index}
      className="absolute"
      data-anatomy={part}
      style={{
        left: x * scale,
        top: y * scale,
        width: width * scale,
        height: height * scale,
        ...looks[part],
      }}
    />
  ));
}
