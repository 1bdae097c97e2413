/** A bay beside the working one: another size, another screen or other rows. */
import { type Control, type SampleCondition, sampleConditions, sampleWords } from '@hovrin/core';
import { ArrowLeftRight, MoreHorizontal } from 'lucide-react';
import { useDeferredValue } from 'react';
import { Menu, type MenuEntry } from '../../parts/Menu.tsx';
import { type ScreenSize, sizeWords } from '../../sizes.ts';
import { Bay } from '../bays/Bay.tsx';
import { useShownLayout, useShownProject } from './useShownLayout.ts';

/** Which rows and feeds a bay has: those of the bench, or of a condition of its own. */
const sampleEntries = (
  { sample: own }: ScreenSize,
  onSample: (sample: SampleCondition | undefined) => void,
): MenuEntry[] => [
  {
    label: 'Rows and feeds as on the bench',
    checked: own === undefined,
    onSelect: () => onSample(undefined),
  },
  ...sampleConditions.map((sample) => ({
    label: sampleWords[sample],
    checked: own === sample,
    onSelect: () => onSample(sample),
  })),
];

interface SideBayProps {
  readonly screen: Control;
  readonly size: ScreenSize;
  /** How wide it is drawn, CSS px. */
  readonly width: number;
  readonly onSwap: () => void;
  readonly onRemove: () => void;
  /** Keeps a screen in this bay; undefined: it shows the one being built. */
  readonly onPin: (screen: string | undefined) => void;
  /** Gives this bay rows and feeds of its own condition; undefined: what the bench has. */
  readonly onSample: (sample: SampleCondition | undefined) => void;
  /** Undefined for the topmost. */
  readonly onUp: (() => void) | undefined;
}

export function SideBay(props: SideBayProps) {
  const { screen, size, width, onSwap, onRemove, onUp, onPin, onSample } = props;

  const newest = useShownProject();
  const pinned = size.screen === undefined ? undefined : newest.screens.find(({ id }) => id === size.screen);
  const shown = pinned ?? screen;
  // The working bay shows what is typed first; this one follows in the next frame.
  const { layout, faint } = useShownLayout(useDeferredValue(newest), shown, size);
  return (
    <figure className="m-0 flex shrink-0 flex-col gap-1.5" style={{ width }}>
      <figcaption className="flex items-center gap-2">
        <span className="truncate font-semibold">
          {size.label}
          {pinned && <span className="font-normal text-quiet"> · {pinned.name}</span>}
        </span>
        {!pinned && (
          <span className="min-w-0 shrink-[99] truncate text-[12px] text-quiet">
            {size.sample ? sampleWords[size.sample].toLowerCase() : sizeWords(size)}
          </span>
        )}
        <button
          type="button"
          className="btn-bare ml-auto !h-6 !min-w-6"
          aria-label={`Work at ${size.label}`}
          title={`Work at ${size.label}`}
          onClick={onSwap}
        >
          <ArrowLeftRight size={14} />
        </button>
        <Menu
          label={`More of ${size.label}`}
          button={
            <button type="button" className="btn-bare !h-6 !min-w-5" aria-label={`More of ${size.label}`}>
              <MoreHorizontal size={14} />
            </button>
          }
          entries={[
            {
              label: pinned ? `Follow the screen being built` : `Keep ${screen.name} here`,
              onSelect: () => onPin(pinned ? undefined : screen.id),
            },
            ...sampleEntries(size, onSample),
            { label: 'Move up', disabled: !onUp, onSelect: () => onUp?.() },
            { label: 'Take away', onSelect: onRemove },
          ]}
        />
      </figcaption>
      <div className="outline outline-rule" style={{ width }}>
        <Bay
          id={size.label}
          screen={shown}
          layout={layout}
          size={size}
          scale={width / size.width}
          working={false}
          faint={faint}
        />
      </div>
    </figure>
  );
}
