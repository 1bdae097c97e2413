/** A screen in both versions, at a size: side by side, one over the other, or in turn. */
import { type Control, expandedProject, type Project, ScreenView, type TreeComparison } from '@hovrin/core';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { bandSizes } from '../parts/bandSizes.ts';
import { SizeField } from '../parts/SizeField.tsx';
import { type ScreenSize, sizeWords } from '../sizes.ts';
import { PaintedPicture } from '../workbench/bays/PaintedPicture.tsx';

const manners = ['Side by side', 'Over each other', 'In turn'] as const;
type Manner = (typeof manners)[number];

/** Greatest width of one picture, px. */
const widest = 460;
/** Milliseconds for which each is seen, in turn: less often than three times a second (WCAG 2.2, 2.3.1). */
const turn = 700;

/** A size at which they differ, where there is one; else the first. */
function firstDiffering(sizes: readonly ScreenSize[], { layout }: TreeComparison): ScreenSize | undefined {
  const differs = ({ width }: ScreenSize) =>
    layout?.widths.some(({ from, to }) => width >= from && width <= to) ?? false;
  return sizes.find(differs) ?? sizes[0];
}

export function Pictures({ tree, before, now }: { tree: TreeComparison; before: Project; now: Project }) {
  const sizes = useMemo(() => bandSizes(now), [now]);
  const [label, setLabel] = useState<string>();
  const [manner, setManner] = useState<Manner>('Side by side');
  const size = sizes.find((each) => each.label === label) ?? firstDiffering(sizes, tree);
  if (!size || !tree.before || !tree.after) return null;
  const scale = Math.min(1, widest / size.width);
  const one = <Picture project={before} screen={tree.before} size={size} scale={scale} words="Before" />;
  const other = <Picture project={now} screen={tree.after} size={size} scale={scale} words="Now" />;
  return (
    <div className="mt-2 flex flex-col gap-2">
      <div className="flex items-center gap-3">
        <SizeField
          sizes={sizes}
          size={size}
          words="At"
          label="Size of the pictures"
          className="!h-6"
          onSize={setLabel}
        />
        <label className="flex items-center gap-1.5">
          <span className="text-quiet">Shown</span>
          <select
            className="field !h-6 !w-auto"
            aria-label="How they are shown"
            value={manner}
            onChange={({ target }) => setManner(target.value as Manner)}
          >
            {manners.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </label>
      </div>
      {manner === 'Side by side' ? (
        <div className="flex flex-wrap items-start gap-3">
          {one}
          {other}
        </div>
      ) : manner === 'Over each other' ? (
        <Over one={one} other={other} />
      ) : (
        <InTurn one={one} other={other} />
      )}
    </div>
  );
}

/** The one over the other; how much of it is seen through is set. */
function Over({ one, other }: { one: ReactNode; other: ReactNode }) {
  const [part, setPart] = useState(50);
  return (
    <div>
      <label className="mb-1 flex items-center gap-2">
        <span className="text-quiet">Before</span>
        <input
          type="range"
          className="w-56 accent-spruce"
          aria-label="How much of the version now is seen"
          value={part}
          onChange={({ target }) => setPart(Number(target.value))}
        />
        <span className="text-quiet">Now</span>
      </label>
      <div className="grid justify-start [&>*]:[grid-area:1/1]">
        {one}
        <div style={{ opacity: part / 100 }}>{other}</div>
      </div>
    </div>
  );
}

/** The one and the other in turn. */
function InTurn({ one, other }: { one: ReactNode; other: ReactNode }) {
  const [isNow, setNow] = useState(false);
  const [runs, setRuns] = useState(true);
  useEffect(() => {
    if (!runs) return undefined;
    const timer = setInterval(() => setNow((before) => !before), turn);
    return () => clearInterval(timer);
  }, [runs]);
  return (
    <div>
      <button type="button" className="btn !h-6 mb-1" onClick={() => setRuns(!runs)}>
        {runs ? 'Hold' : 'Go on'}
      </button>
      {isNow ? other : one}
    </div>
  );
}

function Picture({
  project,
  screen,
  size,
  scale,
  words,
}: {
  project: Project;
  screen: Control;
  size: ScreenSize;
  scale: number;
  words: string;
}) {
  const { shaper } = useWorkplace();
  const layout = useMemo(() => {
    const whole = expandedProject(project);
    const expanded = whole.screens.find(({ id }) => id === screen.id) ?? screen;
    return new ScreenView(shaper).layOut(whole, expanded, { width: size.width, height: size.height });
  }, [project, screen, size, shaper]);
  const height = Math.max(size.height, layout.fullHeight);
  return (
    <figure className="m-0" style={{ width: size.width * scale }}>
      <figcaption className="text-quiet">{words}</figcaption>
      <PaintedPicture
        layout={layout}
        width={size.width}
        height={height}
        scale={scale}
        label={`${screen.name ?? ''}, ${words.toLowerCase()}, at ${sizeWords(size)}`}
      />
    </figure>
  );
}
