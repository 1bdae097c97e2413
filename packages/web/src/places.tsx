/**
 * The places of an opened project, one line each: an address below the project's, what shows there, and, for those in the
 * bar at the side, a label and a sign. `main.tsx` leads to them, `OpenedProject.tsx` lists them. A place's code is loaded
 * when it is first shown; the others' is loaded once the first is there and the browser has nothing else to do.
 */
import { Box, Database, type LucideIcon, Package, Palette } from 'lucide-react';
import { type ComponentType, lazy } from 'react';

export interface Place {
  /** Behind the project's address; empty: the place that a project opens on. */
  readonly path: string;
  readonly Shows: ComponentType;
  /** Its entry in the bar of places; absent: it is led to from elsewhere, and fills the window alone. */
  readonly entry?: { readonly label: string; readonly icon: LucideIcon };
}

const code = {
  build: () => import('./workbench/BuildPlace.tsx'),
  data: () => import('./data/DataPlace.tsx'),
  theme: () => import('./theme/ThemePlace.tsx'),
  ship: () => import('./ship/ShipPlace.tsx'),
  try: () => import('./try/TryPlace.tsx'),
  wall: () => import('./wall/WallPlace.tsx'),
};

export const places: readonly Place[] = [
  {
    path: '',
    Shows: lazy(async () => ({ default: (await code.build()).BuildPlace })),
    entry: { label: 'Build', icon: Box },
  },
  {
    path: 'data',
    Shows: lazy(async () => ({ default: (await code.data()).DataPlace })),
    entry: { label: 'Data', icon: Database },
  },
  {
    path: 'theme',
    Shows: lazy(async () => ({ default: (await code.theme()).ThemePlace })),
    entry: { label: 'Theme', icon: Palette },
  },
  {
    path: 'ship',
    Shows: lazy(async () => ({ default: (await code.ship()).ShipPlace })),
    entry: { label: 'Ship', icon: Package },
  },
  { path: 'try', Shows: lazy(async () => ({ default: (await code.try()).TryPlace })) },
  { path: 'wall', Shows: lazy(async () => ({ default: (await code.wall()).WallPlace })) },
];

/** Loads the code of every place, one after the other, each when the browser is idle. */
export function loadOtherPlaces(): void {
  const left = Object.values(code);
  const next = () => {
    // A place that cannot be loaded now is asked for again when it is shown.
    void left
      .shift()?.()
      .catch(() => {})
      .then(() => left.length > 0 && requestIdleCallback(next));
  };
  requestIdleCallback(next);
}
