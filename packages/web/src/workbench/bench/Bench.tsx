/** The bench: the working bay, and live bays of other sizes beside it where there is room, or below. */

import type { Control } from '@hovrin/core';
import { itemAt } from '@hovrin/core';
import { Plus } from 'lucide-react';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { Menu } from '../../parts/Menu.tsx';
import { OwnSizeDialog } from '../../parts/OwnSizeDialog.tsx';
import { useRoom } from '../../parts/useRoom.ts';
import { allSizes, type ScreenSize, sizeWords } from '../../sizes.ts';
import { useBenchView } from './benchView.ts';
import { CaseBays } from './CaseBays.tsx';
import { FirstSteps } from './FirstSteps.tsx';
import { OpenedComponent } from './OpenedComponent.tsx';
import { usePanning } from './panning.ts';
import { SideBay } from './SideBay.tsx';
import { StateBays } from './StateBays.tsx';
import { sidesShown } from './sides.ts';
import { TracingStrip } from './TracingStrip.tsx';
import { useZoomToSelection } from './useZoomToSelection.ts';
import { WidthRuler } from './WidthRuler.tsx';
import { WorkingBay, WorkingHeader } from './WorkingBay.tsx';
import { scaleOfWhole, scaleOfWidth, type Zoom } from './zoom.ts';

interface BenchProps {
  readonly screen: Control;
  /** Of the working bay. */
  readonly zoom: Zoom;
  readonly onZoom: (zoom: number) => void;
  readonly onScale: (scale: number) => void;
}

/** What stands above and below the bench in the window, px: the path line, the width ruler, the drawer's tabs. */
const aroundBench = 196;
/** What is left free at the right and left of the bays, px. */
const aroundBays = 8;
/** Cases and states are drawn this wide, px. */
const caseWidth = 200;

const onResize = (tell: () => void) => {
  window.addEventListener('resize', tell);
  return () => window.removeEventListener('resize', tell);
};

export function Bench({ screen, zoom, onZoom, onScale }: BenchProps) {
  const { sizes, resize, seeing } = useBenchView();
  const working = itemAt(sizes, 0);
  const { element: area, room } = useRoom({ width: 600, height: 600 });
  // The drawer covers a part of the bench: what is worked on stays as large as it is.
  const windowHeight = useSyncExternalStore(onResize, () => window.innerHeight);
  const all = { width: room.width - aroundBays, height: Math.max(200, windowHeight - aroundBench) };
  const fitting = scaleOfWidth(working, all);
  const scale = typeof zoom === 'number' ? zoom : zoom === 'whole' ? scaleOfWhole(working, all) : fitting;
  useEffect(() => onScale(scale), [onScale, scale]);
  useZoomToSelection({ area, zoom, scale, fitting, room, onZoom });
  const panning = usePanning(area);
  // Another size, another screen: one sees where it begins.
  // biome-ignore lint/correctness/useExhaustiveDependencies: these say when, not what.
  useEffect(() => {
    area.current?.scrollTo(0, 0);
  }, [area, working.label, screen.id]);
  return (
    <section
      aria-label="Bench"
      data-region="bench"
      data-letters
      className="flex min-h-0 min-w-0 flex-1 flex-col gap-2 bg-ground pt-2 pl-4"
    >
      <OpenedComponent component={screen} />
      <WorkingHeader size={working} scale={scale} onResize={resize} />
      <WidthRuler />
      <FirstSteps />
      {seeing.tracing && <TracingStrip size={working} />}
      {/* biome-ignore-start lint/a11y: what scrolls takes the keys, so that arrows scroll it (axe: scrollable-region-focusable). */}
      <div
        ref={area}
        role="group"
        aria-label="Bays"
        tabIndex={0}
        data-region-begin
        className={`min-h-0 outline-offset-[-2px] flex-1 overflow-auto pt-1 pr-3 pb-5 pl-1 ${panning ? 'cursor-grab' : ''}`}
      >
        <div className={`flex flex-wrap items-start gap-6 ${seeing.others ? '' : 'justify-center'}`}>
          <WorkingBay screen={screen} size={working} scale={scale} onResize={resize} />
          {seeing.others && <Others screen={screen} room={all.width} taken={working.width * scale} />}
        </div>
      </div>
      {/* biome-ignore-end lint/a11y: all of it is above. */}
    </section>
  );
}

/**
 * Everything beside the working bay.
 *
 * @param room the width of the bench, px.
 * @param taken what the working bay has of it, px.
 */
function Others({ screen, room, taken }: { screen: Control; room: number; taken: number }) {
  const { sizes, setSizes, seeing } = useBenchView();
  const [working, ...sides] = sizes;
  if (!working) return null;
  if (seeing.states)
    return (
      <div className="flex flex-col gap-4" style={{ width: caseWidth }}>
        <StateBays screen={screen} size={working} width={caseWidth} />
      </div>
    );
  const { scale, hidden } = sidesShown(sizes, { room, taken });
  return (
    <>
      <CaseBays screen={screen} size={working} width={caseWidth} />
      {sides.map((size, index) =>
        hidden.has(size) ? null : (
          <SideBay
            key={size.label}
            screen={screen}
            size={size}
            width={size.width * scale}
            onSwap={() => setSizes([size, ...sizes.filter((_, at) => at !== index + 1)])}
            onPin={(pin) => setSizes(sizes.with(index + 1, { ...size, screen: pin }))}
            onSample={(sample) => setSizes(sizes.with(index + 1, { ...size, sample }))}
            onRemove={() => setSizes(sizes.filter((_, at) => at !== index + 1))}
            onUp={
              index === 0
                ? undefined
                : () => setSizes(sizes.with(index, size).with(index + 1, itemAt(sizes, index)))
            }
          />
        ),
      )}
      <AddSize sizes={sizes} onSizes={setSizes} />
    </>
  );
}

function AddSize({
  sizes,
  onSizes,
}: {
  sizes: readonly ScreenSize[];
  onSizes: (sizes: readonly ScreenSize[]) => void;
}) {
  const [adding, setAdding] = useState(false);
  return (
    <>
      {adding && (
        <OwnSizeDialog onAdd={(size) => onSizes([...sizes, size])} onClose={() => setAdding(false)} />
      )}
      <Menu
        label="Add a size"
        button={
          <button type="button" className="btn self-start">
            <Plus size={14} aria-hidden /> Add a size
          </button>
        }
        entries={allSizes()
          .filter(({ label }) => sizes.every((size) => size.label !== label))
          .map((size) => ({
            label: size.label,
            keys: sizeWords(size),
            onSelect: () => onSizes([...sizes, size]),
          }))
          .concat([{ label: 'One of your own …', keys: '', onSelect: () => setAdding(true) }])}
      />
    </>
  );
}
