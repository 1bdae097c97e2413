/** A control of a layout with some room around it, drawn small. */
import type { ScreenLayout } from '@hovrin/core';
import { Paint } from '../bays/Paint.tsx';
import { usePictureAddress } from '../bays/pictureAddress.ts';

interface PartPictureProps {
  readonly layout: ScreenLayout;
  /** Id of the control. */
  readonly control: string;
  /** How wide it is drawn, CSS px. */
  readonly width: number;
  /** It is drawn no larger than it is, and no higher than this, px of the window. */
  readonly highest?: number;
  /** Room around the control that is shown with it, CSS px. */
  readonly around?: number;
  /** What it shows, for who cannot see it; absent: it only decorates. */
  readonly label?: string;
}

export function PartPicture(props: PartPictureProps) {
  const { layout, control, width, highest = 260, around = 20, label } = props;
  const pictureAddress = usePictureAddress();
  const part = partAround(layout, control, around);
  if (!part) return <p className="text-[12px] text-quiet">Hidden.</p>;
  const scale = Math.min(1, width / part.width, highest / part.height);
  return (
    <div
      {...(label === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
      className={`relative overflow-hidden ${label === undefined ? '' : 'outline outline-rule'}`}
      style={{ width: part.width * scale, height: part.height * scale }}
    >
      <div
        className="absolute origin-top-left"
        style={{
          width: layout.width,
          height: layout.fullHeight,
          transform: `scale(${scale}) translate(${-part.x}px, ${-part.y}px)`,
        }}
      >
        <Paint layout={layout} pictureAddress={pictureAddress} />
      </div>
    </div>
  );
}

/** The control with some room around it, within the screen; undefined where it is hidden. */
function partAround(layout: ScreenLayout, control: string, around: number) {
  const box = layout.byControl.get(control);
  if (!box) return undefined;
  const x = Math.max(0, box.x - around);
  const y = Math.max(0, box.y - around);
  return {
    x,
    y,
    width: Math.max(1, Math.min(layout.width, box.x + box.width + around) - x),
    height: Math.max(1, Math.min(layout.fullHeight, box.y + box.height + around) - y),
  };
}
