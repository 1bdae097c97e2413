/** Paints a laid-out screen: every box at the place that the core worked out, words line by line. */
import {
  backgroundCss,
  focusRingOffset,
  focusRingWidth,
  itemAt,
  layersIn,
  lengthCss,
  lookCss,
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
import { clipsRound, type Range, roundClip, stretchesOf, wholeStyle } from './stretches.ts';
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
  return <Painted layout={layout} pictureAddress={pictureAddress} windows={windows} part={part} />;
});

/** Boxes in the order in which they are painted; what is seen through or turned as a whole is an element with all that is in it. */
function Painted({
  layout,
  pictureAddress,
  windows,
  part,
  range = [0, layout.boxes.length],
}: PaintProps & { readonly windows: readonly (Window | undefined)[]; readonly range?: Range }) {
  const all = { layout, pictureAddress, windows, part };
  return (
    <>
      {stretchesOf(layout, range).map((stretch) => {
        const { from, to } = stretch;
        if (part && !isIn(layout, [from, to], part)) return null;
        if (!stretch.isWhole)
          return (
            <PaintedGroup
              key={from}
              from={from}
              boxes={layout.boxes.slice(from, to).map((box, at) => ({
                box,
                clip: clipOf(box, windows[from + at]),
                rightToLeft: layout.rightToLeft,
              }))}
              pictureAddress={pictureAddress}
            />
          );
        const box = itemAt(layout.boxes, from);
        const inside = to > from + 1 && <Painted {...all} range={[from + 1, to]} />;
        return (
          <div key={from} style={wholeStyle(layout, from)}>
            <PaintedBox
              box={box}
              clip={clipOf(box, windows[from])}
              rightToLeft={layout.rightToLeft}
              pictureAddress={pictureAddress}
            />
            {clipsRound(box) ? <div style={roundClip(layout, box)}>{inside}</div> : inside}
          </div>
        );
      })}
    </>
  );
}

/** Whether any box of a group reaches into a part. */
function isIn({ boxes }: ScreenLayout, [from, to]: readonly [number, number], part: PartInSight): boolean {
  for (let index = from; index < to; index++) {
    const { y, height } = itemAt(boxes, index);
    if (y < part.bottom && y + height > part.top) return true;
  }
  return false;
}

/** A box with the clipping that it inherits from the boxes around it. */
interface PaintedOne {
  readonly box: ScreenBox;
  readonly clip: string | undefined;
  readonly rightToLeft: boolean;
}

interface PaintedGroupProps extends Pick<PaintProps, 'pictureAddress'> {
  /** Index of the first box. */
  readonly from: number;
  readonly boxes: readonly PaintedOne[];
}

const PaintedGroup = memo(
  function PaintedGroup({ from, boxes, pictureAddress }: PaintedGroupProps) {
    return (
      <>
        {boxes.map(({ box, clip, rightToLeft }, index) => (
          <PaintedBox
            key={box.control === undefined ? `part ${from + index}` : `${box.control} ${box.items.join()}`}
            box={box}
            clip={clip}
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

/** Whether two layouts paint a box the same: its words and its look are kept as long as nothing in them changes. */
const paintsAlike = (a: PaintedOne, b: PaintedOne | undefined): boolean =>
  b !== undefined &&
  a.box.box === b.box.box &&
  a.box.lines === b.box.lines &&
  a.box.look === b.box.look &&
  a.box.x === b.box.x &&
  a.box.y === b.box.y &&
  a.box.width === b.box.width &&
  a.box.height === b.box.height &&
  a.rightToLeft === b.rightToLeft &&
  a.clip === b.clip;

type Address = PaintProps['pictureAddress'];

function boxStyle(
  { box, clip, rightToLeft }: PaintedOne,
  border: PhysicalSides,
  address: Address,
): CSSProperties {
  const { look } = box;
  const sides = (list: readonly string[]) => {
    const [top, end, bottom, start] = list;
    return (rightToLeft ? [top, start, bottom, end] : [top, end, bottom, start]).join(' ');
  };
  const colour = look.borderColour ?? 'transparent';
  return {
    position: 'absolute',
    left: box.x,
    top: box.y,
    width: box.width,
    height: box.height,
    boxSizing: 'border-box',
    background: look.fill ? fillOf(look.fill, address) : look.background,
    borderRadius: cornerOf(look.corner),
    borderStyle: look.borderStyle ? sides(look.borderStyle) : 'solid',
    borderColor: typeof colour === 'string' ? colour : sides(colour),
    boxShadow: look.shadow ? lookCss(look.shadow, asItIs) : look.ring && `inset 0 0 0 1px ${look.ring}`,
    borderWidth: `${border.top}px ${border.right}px ${border.bottom}px ${border.left}px`,
    backdropFilter: look.blurBehind ? `blur(${look.blurBehind}px)` : undefined,
    clipPath: clip,
    ...(look.focusRing && {
      outline: `${focusRingWidth}px solid ${look.focusRing}`,
      outlineOffset: focusRingOffset,
    }),
  };
}

/** The colours of a look are worked out already. */
const asItIs = (colour: string): string => colour;
/** A colour above another layer is a picture of it; those that the browser works out are told apart by their property. */
const abovePictures = (fill: string): string =>
  layersIn(fill)
    .map((layer, index, all) =>
      index < all.length - 1 && /^var\(--hue-[\w-]+\)$/.test(layer)
        ? `linear-gradient(${layer}, ${layer})`
        : layer,
    )
    .join(', ');
const fillOf = (fill: string, address: Address): string =>
  backgroundCss(abovePictures(fill), asItIs, (file) => `url("${address(file) ?? ''}")`);
const cornerOf = (corner: ScreenBox['look']['corner']): CSSProperties['borderRadius'] =>
  typeof corner === 'object' ? corner.radii.map(lengthCss).join(' ') : corner;

const PaintedBox = memo(
  function PaintedBox({ pictureAddress, ...painted }: PaintedOne & Pick<PaintProps, 'pictureAddress'>) {
    const { box, rightToLeft } = painted;
    const border = physicalSides(box.box.style.border, rightToLeft);
    return (
      <div style={boxStyle(painted, border, pictureAddress)}>
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
        <div style={{ ...placed(room, border), overflow: 'hidden', borderRadius: cornerOf(look.corner) }}>
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
  box: ScreenBox,
  border: PhysicalSides,
  rightToLeft: boolean,
): CSSProperties {
  const { text, colour, underline, underlineGap, strike, textShadow, textFill } = box.look;
  const font: CSSProperties = text
    ? {
        fontFamily: `"${text.family}"`,
        fontWeight: text.weight,
        fontSize: text.size,
        color: colour,
        fontStyle: text.italic ? 'italic' : undefined,
        letterSpacing: text.letterSpacing || undefined,
        textDecoration:
          [underline && 'underline', strike && 'line-through'].filter(Boolean).join(' ') || undefined,
        textUnderlineOffset: underlineGap === undefined ? undefined : `${underlineGap}em`,
        textShadow: textShadow && lookCss(textShadow, asItIs),
      }
    : {};
  const fill: CSSProperties =
    textFill && words.part === 'line'
      ? {
          backgroundImage: backgroundCss(textFill, asItIs),
          backgroundSize: `${box.width}px ${box.height}px`,
          backgroundPosition: `${-words.x}px ${-words.top}px`,
          backgroundClip: 'text',
          color: 'transparent',
        }
      : {};
  const common: CSSProperties = { ...font, ...fill, position: 'absolute', whiteSpace: 'pre' };
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
