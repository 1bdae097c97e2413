/** The bench: the working bay in the middle, live side bays beside it. */

import type { Control } from '@hovrin/core';
import { itemAt } from '@hovrin/core';
import { Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Menu } from '../../parts/Menu.tsx';
import { OwnSizeDialog } from '../../parts/OwnSizeDialog.tsx';
import { PanelEdge, usePanelSize } from '../../parts/PanelEdge.tsx';
import { useRoom } from '../../parts/useRoom.ts';
import { allSizes, type ScreenSize, sizeWords } from '../../sizes.ts';
import { useBenchView } from './benchView.ts';
import { CaseBays } from './CaseBays.tsx';
import { OpenedComponent } from './OpenedComponent.tsx';
import { usePanning } from './panning.ts';
import { SideBay } from './SideBay.tsx';
import { StateBays } from './StateBays.tsx';
import { TracingStrip } from './TracingStrip.tsx';
import { useZoomToSelection } from './useZoomToSelection.ts';
import { WidthRuler } from './WidthRuler.tsx';
import { WorkingBay, WorkingHeader } from './WorkingBay.tsx';
import { leastZoom, type Zoom } from './zoom.ts';

interface BenchProps {
  readonly screen: Control;
  /** Of the working bay. */
  readonly zoom: Zoom;
  readonly onZoom: (zoom: number) => void;
  readonly onScale: (scale: number) => void;
}

/** What the side bays leave of their panel on both sides. */
const asideBays = 26;

export function Bench({ screen, zoom, onZoom, onScale }: BenchProps) {
  const { sizes, setSizes, resize, seeing } = useBenchView();
  const [, ...sides] = sizes;
  const working = itemAt(sizes, 0);
  const side = usePanelSize('sides', {
    usual: 216,
    least: 150,
    most: ({ width }) => Math.min(480, width / 5),
  });
  const { element: area, room } = useRoom({ width: 400, height: 600 });
  const fitting = Math.max(leastZoom, Math.min(1, room.width / working.width, room.height / working.height));
  const scale = typeof zoom === 'number' ? zoom : fitting;
  useEffect(() => onScale(scale), [onScale, scale]);
  useZoomToSelection({ area, zoom, scale, fitting, room, onZoom });
  const panning = usePanning(area);
  return (
    <section aria-label="Bench" className="flex min-h-0 min-w-0 flex-1 bg-ground">
      <div className="flex min-w-0 flex-1 flex-col gap-2 py-3 pl-4">
        <OpenedComponent component={screen} />
        <WorkingHeader size={working} scale={scale} onResize={resize} />
        <WidthRuler />
        {seeing.tracing && <TracingStrip size={working} />}
        <div
          ref={area}
          className={`min-h-0 flex-1 overflow-auto pt-1 pr-5 pb-5 pl-1 ${panning ? 'cursor-grab' : ''}`}
        >
          <WorkingBay screen={screen} size={working} scale={scale} onResize={resize} />
        </div>
      </div>
      <div className="relative flex shrink-0 flex-col border-l border-rule/70" style={{ width: side.size }}>
        <PanelEdge label="Width of the side bays" side="left" panel={side} />
        <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto px-3 py-3">
          {seeing.states ? (
            <StateBays screen={screen} size={working} width={side.size - asideBays} />
          ) : (
            <>
              <CaseBays screen={screen} size={working} width={side.size - asideBays} />
              {sides.map((size, index) => (
                <SideBay
                  key={size.label}
                  screen={screen}
                  size={size}
                  width={side.size - asideBays}
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
              ))}
              <AddSize sizes={sizes} onSizes={setSizes} />
            </>
          )}
        </div>
      </div>
    </section>
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
