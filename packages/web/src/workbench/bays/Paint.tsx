/** Paints a laid-out screen: every box at the place that the core worked out, words line by line. */
import {
  itemAt,
  type PaintedShape,
  type PaintedWords,
  type PhysicalSides,
  physicalSides,
  type Rectangle,
  type ScreenBox,
  type ScreenLayout,
  shapesOf,
  wordsOf,
} from '@hovrin/core';
import { type CSSProperties, createElement, memo } from 'react';
import { clipOf, type Window, windowsOf } from './cut.ts';
import type { PartInSight } from './usePartInSight.ts';

interface PaintProps {
  readonly layout: ScreenLayout;
  /** The address of a picture of the project. */
  readonly pictureAddress: (name: string) => string | undefined;
  /** Where each box can be seen; where it is absent, all that scrolls is cut. */
  readonly windows?: readonly (Window | undefined)[];
  /** What is painted; all where it is absent. */
  readonly part?: PartInSight | undefined;
}

export const Paint = memo(function Paint({
  layout,
  pictureAddress,
  windows = windowsOf(layout),
  part,
}: PaintProps) {
  return (
    <>
      {groupsOf(layout).map(([from, to], index) =>
        part && !isIn(layout, [from, to], part) ? null : (
          <PaintedGroup
            // biome-ignore lint/suspicious/noArrayIndexKey: a group is nothing but its place among the others.
            key={index}
            from={from}
            boxes={layout.boxes.slice(from, to).map((box, at) => ({
              box,
              clip: clipOf(box, windows[from + at]),
              opacity: opacityOf(layout, box),
              rightToLeft: layout.rightToLeft,
            }))}
            pictureAddress={pictureAddress}
          />
        ),
      )}
    </>
  );
});

/** How many boxes are painted as one group, up to the end of the control that the last one belongs to. */
const groupSize = 48;

/** Cuts the boxes of a layout into stretches: of a change only those are looked at in which something moved. */
function groupsOf({ boxes }: ScreenLayout): [from: number, to: number][] {
  const groups: [number, number][] = [];
  let from = 0;
  for (let index = 1; index <= boxes.length; index++) {
    const box = boxes[index];
    if (box && (box.control === undefined || index - from < groupSize)) continue;
    groups.push([from, index]);
    from = index;
  }
  return groups;
}

/** Whether any box of a group reaches into a part. */
function isIn({ boxes }: ScreenLayout, [from, to]: readonly [number, number], part: PartInSight): boolean {
  for (let index = from; index < to; index++) {
    const { y, height } = itemAt(boxes, index);
    if (y < part.bottom && y + height > part.top) return true;
  }
  return false;
}

/** A box with the opacity and clipping that it inherits from the boxes around it. */
interface Painted {
  readonly box: ScreenBox;
  readonly clip: string | undefined;
  readonly opacity: number;
  readonly rightToLeft: boolean;
}

interface PaintedGroupProps extends Pick<PaintProps, 'pictureAddress'> {
  /** Index of the first box. */
  readonly from: number;
  readonly boxes: readonly Painted[];
}

const PaintedGroup = memo(
  function PaintedGroup({ from, boxes, pictureAddress }: PaintedGroupProps) {
    return (
      <>
        {boxes.map(({ box, clip, opacity, rightToLeft }, index) => (
          <PaintedBox
            key={box.control === undefined ? `part ${from + index}` : `${box.control} ${box.items.join()}`}
            box={box}
            clip={clip}
            opacity={opacity}
            rightToLeft={rightToLeft}
            pictureAddress={pictureAddress}
          />
        ))}
      </>
    );
  },
  (a, b) =>
    a.from === b.from &&
    a.pictureAddress === b.pictureAddress &&
    a.boxes.length === b.boxes.length &&
    a.boxes.every((painted, index) => paintsAlike(painted, b.boxes[index])),
);

/** A control's opacity holds for the parts inside it too. */
function opacityOf(layout: ScreenLayout, box: ScreenBox): number {
  let opacity = 1;
  for (
    let at: ScreenBox | undefined = box;
    at;
    at = at.control === undefined ? layout.boxes[at.parent] : undefined
  )
    opacity *= at.look.opacity ?? 1;
  return opacity;
}

/** Whether two layouts paint a box the same: its words and its look are kept as long as nothing in them changes. */
const paintsAlike = (a: Painted, b: Painted | undefined): boolean =>
  b !== undefined &&
  a.box.box === b.box.box &&
  a.box.lines === b.box.lines &&
  a.box.look === b.box.look &&
  a.box.x === b.box.x &&
  a.box.y === b.box.y &&
  a.box.width === b.box.width &&
  a.box.height === b.box.height &&
  a.opacity === b.opacity &&
  a.rightToLeft === b.rightToLeft &&
  a.clip === b.clip;

function boxStyle({ box, clip, opacity }: Painted, border: PhysicalSides): CSSProperties {
  const { look } = box;
  return {
    position: 'absolute',
    left: box.x,
    top: box.y,
    width: box.width,
    height: box.height,
    boxSizing: 'border-box',
    background: look.background,
    borderRadius: look.corner,
    borderStyle: 'solid',
    borderColor: look.borderColour ?? 'transparent',
    boxShadow: look.ring && `inset 0 0 0 1px ${look.ring}`,
    borderWidth: `${border.top}px ${border.right}px ${border.bottom}px ${border.left}px`,
    opacity,
    clipPath: clip,
  };
}

const PaintedBox = memo(
  function PaintedBox({ pictureAddress, ...painted }: Painted & Pick<PaintProps, 'pictureAddress'>) {
    const { box, rightToLeft } = painted;
    const border = physicalSides(box.box.style.border, rightToLeft);
    return (
      <div style={boxStyle(painted, border)}>
        {shapesOf(box, rightToLeft).map((shape, index) => (
          <PaintedShapeOf
            // biome-ignore lint/suspicious/noArrayIndexKey: a shape is nothing but its place among the others.
            key={index}
            shape={shape}
            look={box.look}
            border={border}
            pictureAddress={pictureAddress}
          />
        ))}
        {wordsOf(box, rightToLeft).map((words, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: lines have nothing else to tell them apart.
          <span key={index} style={wordsStyle(words, box, border, rightToLeft)}>
            {words.text}
          </span>
        ))}
      </div>
    );
  },
  (a, b) => a.pictureAddress === b.pictureAddress && paintsAlike(a, b),
);

/** Where a rectangle stands: what is in a box with a border is placed from inside the border (CSS 2.2 §10.1). */
const placed = ({ x, y, width, height }: Rectangle, border: PhysicalSides): CSSProperties => ({
  position: 'absolute',
  left: x - border.left,
  top: y - border.top,
  width,
  height,
});

interface PaintedShapeProps extends Pick<PaintProps, 'pictureAddress'> {
  readonly shape: PaintedShape;
  readonly look: ScreenBox['look'];
  readonly border: PhysicalSides;
}

function PaintedShapeOf({ shape, look, border, pictureAddress }: PaintedShapeProps) {
  switch (shape.part) {
    case 'picture': {
      const { room, at } = shape;
      const address = pictureAddress(shape.name);
      return (
        <div style={{ ...placed(room, border), overflow: 'hidden', borderRadius: look.corner }}>
          {address ? (
            <img
              src={address}
              alt=""
              draggable={false}
              style={{ ...placed({ ...at, x: at.x - room.x, y: at.y - room.y }, noBorder), maxWidth: 'none' }}
            />
          ) : (
            <MissingPicture />
          )}
        </div>
      );
    }
    case 'drawing':
      return (
        <svg
          viewBox={`0 0 ${shape.size.join(' ')}`}
          preserveAspectRatio={shape.stretches ? 'none' : 'xMidYMid meet'}
          style={{ ...placed(shape.at, border), color: look.colour, overflow: 'visible' }}
          aria-hidden
        >
          {shape.shapes.map(([tag, attributes], index) =>
            createElement(tag, { ...reactNames(attributes), key: index }),
          )}
        </svg>
      );
    case 'bar':
      return (
        <div style={{ ...placed(shape.at, border), borderRadius: shape.corner, background: shape.colour }} />
      );
  }
}
const noBorder: PhysicalSides = { top: 0, right: 0, bottom: 0, left: 0 };

/** SVG's attribute names as React writes them. */
const reactNames = (attributes: Readonly<Record<string, string | number>>) =>
  Object.fromEntries(
    Object.entries(attributes).map(([name, value]) => [
      name.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase()),
      value,
    ]),
  );

/** How words are set, and where. */
function wordsStyle(
  words: PaintedWords,
  { look: { text, colour, underline } }: ScreenBox,
  border: PhysicalSides,
  rightToLeft: boolean,
): CSSProperties {
  const font: CSSProperties = text
    ? {
        fontFamily: `"${text.family}"`,
        fontWeight: text.weight,
        fontSize: text.size,
        color: colour,
        fontStyle: text.italic ? 'italic' : undefined,
        letterSpacing: text.letterSpacing || undefined,
        textDecoration: underline ? 'underline' : undefined,
      }
    : {};
  const common: CSSProperties = { ...font, position: 'absolute', whiteSpace: 'pre' };
  if (words.part === 'line')
    return {
      ...common,
      left: words.x - border.left,
      top: words.top - border.top,
      lineHeight: `${words.height}px`,
      direction: rightToLeft ? 'rtl' : undefined,
    };
  const inset = words.inset - (words.fromRight ? border.right : border.left);
  return {
    ...common,
    inset: 0,
    padding: `0 ${inset}px`,
    display: 'flex',
    alignItems: words.top === undefined ? 'center' : 'start',
    paddingTop: words.top === undefined ? undefined : words.top - border.top,
    paddingBottom: words.lift > 0 ? 2 * words.lift : undefined,
    overflow: 'hidden',
    direction: words.fromRight ? 'rtl' : undefined,
  };
}

/** Stands where a picture is not there (yet). */
function MissingPicture() {
  return (
    <div
      style={{
        width: '100%',
        height: '100%',
        background: 'repeating-linear-gradient(135deg, #e3ddd0 0 8px, #d8d2c4 8px 16px)',
      }}
    />
  );
}
