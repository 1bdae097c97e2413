/** A laid-out screen as a picture, made smaller or larger: nothing in it can be pressed. */
import type { ScreenLayout } from '@hovrin/core';
import { Paint } from './Paint.tsx';
import { usePictureAddress } from './pictureAddress.ts';

interface PaintedPictureProps {
  readonly layout: ScreenLayout;
  /** Of the screen, CSS px. */
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  /** What it is, in words. */
  readonly label: string;
  /** Marks it, to be found. */
  readonly hanging?: string;
}

export function PaintedPicture({ layout, width, height, scale, label, hanging }: PaintedPictureProps) {
  const pictureAddress = usePictureAddress();
  return (
    <div
      className="relative overflow-hidden bg-white outline outline-rule"
      role="img"
      aria-label={label}
      data-hanging={hanging}
      style={{ width: width * scale, height: height * scale }}
    >
      <div
        aria-hidden
        className="absolute top-0 left-0"
        style={{
          width,
          height,
          transform: `scale(${scale})`,
          transformOrigin: '0 0',
          fontSize: 16,
          colorScheme: 'light',
        }}
      >
        <Paint layout={layout} pictureAddress={pictureAddress} />
      </div>
    </div>
  );
}
