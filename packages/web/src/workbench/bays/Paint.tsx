/** Paints a laid-out screen: every box at the place that the core worked out, words line by line. */
import type { Drawing, Gauge, ScreenBox, ScreenLayout } from '@hovrin/core';
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
    const { y, height } = boxes[index]!;
    if (y < part.bottom && y + height > part.top) return true;
  }
  return false;
}

/** A box with what its surroundings do to it. */
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

/** Sides that are said by the direction of the words, as the screen has them. */
const sidesOf = (rightToLeft: boolean) =>
  rightToLeft ? (['end', 'start'] as const) : (['start', 'end'] as const);

function boxStyle({ box, clip, opacity, rightToLeft }: Painted): CSSProperties {
  const { look } = box;
  const { border } = box.box.style;
  const [left, right] = sidesOf(rightToLeft);
  const isMoment = look.inner?.written === 'date' || look.inner?.written === 'time';
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
    borderWidth: `${border.top}px ${border[right]}px ${border.bottom}px ${border[left]}px`,
    opacity,
    clipPath: clip,
    // Days and times run as the browser's language does.
    direction: rightToLeft && !isMoment ? 'rtl' : undefined,
  };
}

/** How the words of a box are set. */
function wordsStyle({ text, colour, underline }: ScreenBox['look']): CSSProperties {
  if (!text) return {};
  return {
    position: 'absolute',
    fontFamily: `"${text.family}"`,
    fontWeight: text.weight,
    fontSize: text.size,
    color: colour,
    whiteSpace: 'pre',
    fontStyle: text.italic ? 'italic' : undefined,
    letterSpacing: text.letterSpacing || undefined,
    textDecoration: underline ? 'underline' : undefined,
  };
}

const PaintedBox = memo(
  function PaintedBox({ pictureAddress, ...painted }: Painted & Pick<PaintProps, 'pictureAddress'>) {
    const { box, rightToLeft } = painted;
    const { look } = box;
    return (
      <div style={boxStyle(painted)}>
        {look.picture !== undefined && <Picture look={look} address={pictureAddress(look.picture)} />}
        {look.drawing && <Drawn drawing={look.drawing} colour={look.colour} />}
        {look.gauge && <GaugeLine gauge={look.gauge} />}
        {box.lines.length > 0 && <Lines box={box} rightToLeft={rightToLeft} />}
        {look.inner && <InnerWords look={look} inner={look.inner} />}
      </div>
    );
  },
  (a, b) => a.pictureAddress === b.pictureAddress && paintsAlike(a, b),
);

/** @param address undefined where there is no such picture. */
function Picture({ look, address }: { look: ScreenBox['look']; address: string | undefined }) {
  if (!address) return <MissingPicture />;
  return (
    <img
      src={address}
      alt=""
      draggable={false}
      style={{
        width: '100%',
        height: '100%',
        objectFit: look.pictureFit,
        objectPosition: look.pictureFocus?.map((part) => `${part}%`).join(' '),
        display: 'block',
        borderRadius: look.corner,
      }}
    />
  );
}

function Lines({ box, rightToLeft }: { box: ScreenBox; rightToLeft: boolean }) {
  const { look, lines } = box;
  const { border, padding } = box.box.style;
  const { content } = box.box;
  const [left] = sidesOf(rightToLeft);
  const height = content.type === 'text' ? content.paragraphs.lineHeight : 0;
  const room = box.width - padding.start - padding.end - border.start - border.end;
  /** How far from its left edge a line of a width stands. What is wider than its room goes over where it ends. */
  const shift = (width: number) => {
    const spare = room - width;
    if (spare <= 0) return rightToLeft ? spare : 0;
    if (look.text?.align === 'center') return spare / 2;
    return (look.text?.align === 'end') === rightToLeft ? 0 : spare;
  };
  const font = wordsStyle(look);
  return lines.map((line, index) => (
    <span
      // biome-ignore lint/suspicious/noArrayIndexKey: lines have nothing else to tell them apart.
      key={index}
      style={{
        ...font,
        left: padding[left] + shift(line.width),
        top: padding.top + index * height,
        lineHeight: `${height}px`,
      }}
    >
      {line.alone}
    </span>
  ));
}

/** The words in a field, on one line, in the middle of its height or so far from its top. */
function InnerWords({
  look,
  inner,
}: {
  look: ScreenBox['look'];
  inner: NonNullable<ScreenBox['look']['inner']>;
}) {
  const words = writtenWords(inner);
  // Browsers put the words of fields with a sign in them a px higher than those that one types into,
  // but for a time, whose narrow space is of another font, with more below its baseline.
  const isHigher = typeof look.drawing?.place === 'number' && !words.includes(narrowSpace);
  return (
    <span
      style={{
        ...wordsStyle(look),
        inset: 0,
        padding: `0 ${inner.padding}px`,
        display: 'flex',
        alignItems: inner.top === undefined ? 'center' : 'start',
        paddingTop: inner.top,
        paddingBottom: isHigher ? 2 : undefined,
        overflow: 'hidden',
      }}
    >
      {words}
    </span>
  );
}

/** The words in a field, as this browser writes them where it does so by itself. */
function writtenWords({ text, written }: NonNullable<ScreenBox['look']['inner']>): string {
  if (written === undefined || text === '') return text;
  if (written === 'number') {
    const number = Number(text);
    return Number.isFinite(number) ? numbers.format(number) : text;
  }
  if (written === 'time') {
    const [hours, minutes] = text.split(':').map(Number);
    return Number.isFinite(hours) && Number.isFinite(minutes)
      ? narrowed(times.format(new Date(2000, 0, 1, hours, minutes)))
      : times
          .formatToParts(new Date(2000, 0, 1, 0, 0))
          .map(({ type, value }) => (type === 'literal' ? narrowed(value) : '--'))
          .join('');
  }
  const day = new Date(`${text}T00:00:00`);
  if (!Number.isNaN(day.getTime())) return days.format(day);
  return days
    .formatToParts(new Date(2000, 0, 1))
    .map(({ type, value }) => ({ day: 'dd', month: 'mm', year: 'yyyy' })[type as 'day'] ?? value)
    .join('');
}

// In the browser's own way, as its fields have it: no page can choose another.
const days = new Intl.DateTimeFormat(undefined, { year: 'numeric', month: '2-digit', day: '2-digit' });
const times = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });
const numbers = new Intl.NumberFormat(undefined, { useGrouping: false, maximumFractionDigits: 20 });

const narrowSpace = '\u202f';

/** With the narrow space that fields have before AM and PM (CLDR); scripts are given a plain one for it. */
function narrowed(time: string): string {
  return time.replace(' ', narrowSpace);
}

/** Lines and shapes, stretched to the box, in its middle, or at its end. */
function Drawn({ drawing, colour }: { drawing: Drawing; colour: string | undefined }) {
  const { size, shapes, place } = drawing;
  const style: CSSProperties =
    typeof place === 'number'
      ? {
          position: 'absolute',
          insetInlineEnd: 10,
          top: '50%',
          width: place,
          height: place,
          marginTop: -place / 2,
        }
      : { position: 'absolute', inset: 0, width: '100%', height: '100%' };
  return (
    <svg
      viewBox={`0 0 ${size.join(' ')}`}
      preserveAspectRatio={place === 'stretch' ? 'none' : 'xMidYMid meet'}
      style={{ ...style, color: colour, overflow: 'visible' }}
      aria-hidden
    >
      {shapes.map(([tag, attributes], index) =>
        createElement(tag, { ...reactNames(attributes), key: index }),
      )}
    </svg>
  );
}

/** SVG's attribute names as React writes them. */
const reactNames = (attributes: Readonly<Record<string, string | number>>) =>
  Object.fromEntries(
    Object.entries(attributes).map(([name, value]) => [
      name.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase()),
      value,
    ]),
  );

/** A line that is filled to a part from its start. */
function GaugeLine({ gauge }: { gauge: Gauge }) {
  const { part, thickness, knob = 0, colour, ground } = gauge;
  const line: CSSProperties = {
    position: 'absolute',
    top: `calc(50% - ${thickness / 2}px)`,
    height: thickness,
    borderRadius: thickness / 2,
  };
  // What is moved stays inside the line at both ends.
  const reach = `calc(${knob / 2}px + (100% - ${knob}px) * ${part})`;
  return (
    <>
      <div style={{ ...line, left: 0, right: 0, background: ground }} />
      <div style={{ ...line, insetInlineStart: 0, width: reach, background: colour }} />
      {knob > 0 && (
        <div
          style={{
            position: 'absolute',
            top: `calc(50% - ${knob / 2}px)`,
            insetInlineStart: `calc((100% - ${knob}px) * ${part})`,
            width: knob,
            height: knob,
            borderRadius: '50%',
            background: colour,
          }}
        />
      )}
    </>
  );
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
