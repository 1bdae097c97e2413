/** Paints a laid-out screen: every box at the place that the core worked out, words line by line. */
import type { ScreenBox, ScreenLayout } from '@hovrin/core';
import { type CSSProperties, memo } from 'react';

interface PaintProps {
  readonly layout: ScreenLayout;
  /** The address of a picture of the project. */
  readonly pictureAddress: (name: string) => string | undefined;
}

export const Paint = memo(function Paint({ layout, pictureAddress }: PaintProps) {
  return (
    <>
      {layout.boxes.map((box, index) => (
        <PaintedBox
          key={box.control ?? `part ${index}`}
          box={box}
          opacity={opacityOf(layout, box)}
          pictureAddress={pictureAddress}
        />
      ))}
    </>
  );
});

/** A control's opacity holds for the parts inside it too. */
function opacityOf(layout: ScreenLayout, box: ScreenBox): number {
  const own = box.look.opacity ?? 1;
  const parent = box.control === undefined ? layout.boxes[box.parent] : undefined;
  return own * (parent?.look.opacity ?? 1);
}

function PaintedBox({
  box,
  opacity,
  pictureAddress,
}: {
  box: ScreenBox;
  opacity: number;
  pictureAddress: PaintProps['pictureAddress'];
}) {
  const { look, lines } = box;
  const { border, padding } = box.box.style;
  const style: CSSProperties = {
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
    borderWidth: `${border.top}px ${border.end}px ${border.bottom}px ${border.start}px`,
    opacity,
  };
  const text = look.text;
  const font: CSSProperties = text
    ? {
        position: 'absolute',
        fontFamily: `"${text.family}"`,
        fontWeight: text.weight,
        fontSize: text.size,
        color: look.colour,
        whiteSpace: 'pre',
      }
    : {};
  const content = box.box.content;
  const height = content.type === 'text' ? content.paragraphs.lineHeight : 0;
  const room = box.width - padding.start - padding.end - border.start - border.end;
  const shift = (width: number) =>
    text?.align === 'end' ? room - width : text?.align === 'center' ? (room - width) / 2 : 0;
  const address = look.picture === undefined ? undefined : pictureAddress(look.picture);
  return (
    <div style={style}>
      {look.picture !== undefined &&
        (address ? (
          <img
            src={address}
            alt=""
            draggable={false}
            style={{ width: '100%', height: '100%', objectFit: 'cover', display: 'block' }}
          />
        ) : (
          <MissingPicture />
        ))}
      {look.sign === 'tick' && (
        <svg
          viewBox="0 0 16 16"
          style={{ position: 'absolute', inset: '12.5%', width: '75%', height: '75%', color: look.colour }}
          aria-hidden
        >
          <path d="M3 8.5l3.2 3.2L13 4.8" fill="none" stroke="currentColor" strokeWidth="2.2" />
        </svg>
      )}
      {lines.map((line, index) => (
        <span
          // biome-ignore lint/suspicious/noArrayIndexKey: lines have nothing else to tell them apart.
          key={index}
          style={{
            ...font,
            left: padding.start + Math.max(0, shift(line.width)),
            top: padding.top + index * height,
            lineHeight: `${height}px`,
          }}
        >
          {line.text}
        </span>
      ))}
      {look.inner && (
        <span
          style={{
            ...font,
            inset: 0,
            padding: `0 ${look.inner.padding}px`,
            display: 'flex',
            alignItems: 'center',
            overflow: 'hidden',
          }}
        >
          {look.inner.text}
        </span>
      )}
    </div>
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
