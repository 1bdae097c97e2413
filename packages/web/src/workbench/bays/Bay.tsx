/** One size of the screen on the bench: live, selectable, a place to drop on. */

import { type Control, hueProperties, type ScreenLayout, themeOf } from '@hovrin/core';
import { useEffect, useMemo, useRef } from 'react';
import type { ScreenSize } from '../../sizes.ts';
import { useBays } from '../bench/bays.ts';
import { useBenchView } from '../bench/benchView.ts';
import { useAddress } from '../bench/tracing.ts';
import { useShownProject } from '../bench/useShownLayout.ts';
import { keepWindows } from '../hands/spot.ts';
import { useShownSelection } from '../useShownSelection.ts';
import { BayMarks } from './BayMarks.tsx';
import { openScrolls, windowsOf } from './cut.ts';
import { Paint } from './Paint.tsx';
import { usePictureAddress } from './pictureAddress.ts';
import { TracedPicture } from './TracedPicture.tsx';
import { useBayPointer } from './useBayPointer.ts';
import { usePartInSight } from './usePartInSight.ts';

/** The colours of the theme in the mode that is looked at, as custom properties. */
function useHues(): Readonly<Record<string, string>> {
  const { seeing } = useBenchView();
  const project = useShownProject();
  const theme = themeOf(project, seeing.mode);
  return useMemo(() => hueProperties(theme), [theme]);
}

export interface BayProps {
  readonly id: string;
  readonly screen: Control;
  readonly layout: ScreenLayout;
  readonly size: ScreenSize;
  readonly scale: number;
  /** The working bay has the buttons to add, the side bays only show. */
  readonly working: boolean;
  /** Controls that are only shown because what is hidden is to be seen. */
  readonly faint: readonly string[];
}

export function Bay(props: BayProps) {
  const { id, screen, layout, size, scale, working } = props;
  const { selection } = useShownSelection(working);
  const bays = useBays();
  const surface = useRef<HTMLDivElement | null>(null);
  const height = Math.max(layout.fullHeight, size.height);
  const windows = useMemo(() => windowsOf(layout, openScrolls(layout, selection)), [layout, selection]);
  keepWindows(layout, windows);
  useEffect(() => {
    const element = surface.current;
    if (!element) return;
    bays.register(id, { element, layout, scale, screen });
    return () => bays.unregister(id);
  }, [bays, id, layout, scale, screen]);
  const hues = useHues();
  const pointer = useBayPointer(props);
  const shown = { width: size.width * scale, height: height * scale };
  const part = usePartInSight(surface, scale, layout.boxes.length);
  return (
    <div className="relative" style={shown}>
      <div
        ref={(element) => {
          surface.current = element;
          pointer.setNodeRef(element);
        }}
        data-bay={id}
        className="relative touch-none overflow-hidden bg-white select-none"
        style={shown}
        {...pointer.handlers}
      >
        <div
          className="pointer-events-none absolute top-0 left-0"
          style={{
            width: size.width,
            height,
            transform: `scale(${scale})`,
            transformOrigin: '0 0',
            fontSize: 16,
            colorScheme: 'light',
            ...hues,
          }}
        >
          <Painted layout={layout} windows={windows} part={part} working={working} />
        </div>
        {/* What the pointer meets first: the browser need not look through all that is painted below it. */}
        <div className="absolute inset-0" />
      </div>
      <div className="pointer-events-none absolute inset-0 [contain:layout_size]">
        <BayMarks {...props} windows={windows} pointer={pointer} />
      </div>
    </div>
  );
}

/** The screen itself, with the picture that one builds after over or under it. */
function Painted({
  working,
  ...painted
}: Omit<React.ComponentProps<typeof Paint>, 'pictureAddress'> & { working: boolean }) {
  const { seeing, tracing } = useBenchView();
  const traced = working && seeing.tracing ? tracing : undefined;
  const address = useAddress(traced?.picture);
  const pictureAddress = usePictureAddress();
  const isUnder = traced?.mode === 'under';
  return (
    <>
      {isUnder && <TracedPicture tracing={traced} address={address} />}
      <div style={isUnder ? { mixBlendMode: 'multiply' } : undefined}>
        <Paint {...painted} pictureAddress={pictureAddress} />
      </div>
      {traced && !isUnder && <TracedPicture tracing={traced} address={address} />}
    </>
  );
}
