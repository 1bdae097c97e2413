/** Edges of panels: dragged or moved by keys, they make a panel larger or smaller, and it stays so. */
import { useRef, useState, useSyncExternalStore } from 'react';

/** How large a panel is, CSS px. */
export interface PanelSize {
  readonly size: number;
  readonly least: number;
  readonly most: number;
  /** Keeps another size, within the limits. */
  readonly set: (size: number) => void;
  /** Back to the initial size. */
  readonly reset: () => void;
  /** It is put away: only its edge is there. */
  readonly isAway: boolean;
  readonly putAway: (away: boolean) => void;
}

/** The limits of a panel, CSS px. */
interface Limits {
  readonly usual: number;
  readonly least: number;
  /** The largest that it may be in a window, so that something of the bench is left. */
  readonly most: (window: { readonly width: number; readonly height: number }) => number;
  /** In a window narrower than this it is away until it is asked for; absent: never by itself. */
  readonly narrow?: number;
}

function onResize(tell: () => void): () => void {
  window.addEventListener('resize', tell);
  return () => window.removeEventListener('resize', tell);
}

/**
 * The size of a panel as it was left in this browser.
 *
 * @param name the key that the size is stored under.
 */
export function usePanelSize(name: string, { usual, least, most: mostIn, narrow = 0 }: Limits): PanelSize {
  const key = `hovrin.panel.${name}`;
  const most = useSyncExternalStore(onResize, () =>
    Math.max(least, Math.round(mostIn({ width: window.innerWidth, height: window.innerHeight }))),
  );
  const [kept, setKept] = useState(() => Number(localStorage.getItem(key)) || usual);
  const isNarrow = useSyncExternalStore(onResize, () => window.innerWidth < narrow);
  // What is asked for in a narrow window holds for that.
  const awayKey = `${key}.away${isNarrow ? '.narrow' : ''}`;
  const [, setAsked] = useState(0);
  const asked = localStorage.getItem(awayKey);
  const isAway = asked === null ? isNarrow : asked === 'true';
  const putAway = (away: boolean) => {
    localStorage.setItem(awayKey, String(away));
    setAsked((times) => times + 1);
  };
  const within = (wanted: number) => Math.round(Math.max(least, Math.min(most, wanted)));
  const set = (wanted: number) => {
    setKept(within(wanted));
    localStorage.setItem(key, String(within(wanted)));
  };
  // A smaller window leaves less, for as long as it is smaller.
  return { size: within(kept), least, most, set, reset: () => set(usual), isAway, putAway };
}

const places = {
  top: 'inset-x-0 -top-1 h-2 cursor-ns-resize',
  left: 'top-0 -left-1 h-full w-2 cursor-ew-resize',
  right: 'top-0 -right-1 h-full w-2 cursor-ew-resize',
} as const;

const step = 16;
/** Dragged this far below its least size, a panel is put away, px. */
const farBelow = 80;

/** The edge of a panel, which is positioned itself. @param side where it lies; the panel grows towards it. */
export function PanelEdge({
  label,
  side,
  panel,
}: {
  label: string;
  side: keyof typeof places;
  panel: PanelSize;
}) {
  const from = useRef<{ at: number; size: number; wanted: number }>(undefined);
  const isAcross = side !== 'top';
  const [larger, smaller] = { top: ['Up', 'Down'], left: ['Left', 'Right'], right: ['Right', 'Left'] }[side];
  const grown = side === 'right' ? 1 : -1;
  return (
    <hr
      aria-label={label}
      aria-orientation={isAcross ? 'vertical' : 'horizontal'}
      aria-valuenow={panel.size}
      aria-valuemin={panel.least}
      aria-valuemax={panel.most}
      title={`${label}: drag, far in to put it away; double-click for what it was at first`}
      tabIndex={0}
      className={`absolute z-20 m-0 touch-none border-0 hover:bg-spruce/30 ${places[side]}`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        const { size } = panel;
        from.current = { at: isAcross ? event.clientX : event.clientY, size, wanted: size };
      }}
      onPointerMove={(event) => {
        if (!from.current) return;
        const at = isAcross ? event.clientX : event.clientY;
        from.current.wanted = from.current.size + grown * (at - from.current.at);
        panel.set(from.current.wanted);
      }}
      onPointerUp={() => {
        if (from.current && from.current.wanted < panel.least - farBelow) panel.putAway(true);
        from.current = undefined;
      }}
      onPointerCancel={() => {
        from.current = undefined;
      }}
      onDoubleClick={panel.reset}
      onKeyDown={(event) => {
        if (event.key !== `Arrow${larger}` && event.key !== `Arrow${smaller}`) return;
        event.preventDefault();
        event.stopPropagation();
        panel.set(panel.size + (event.key === `Arrow${larger}` ? step : -step));
      }}
    />
  );
}
