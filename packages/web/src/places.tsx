/**
 * The places of an opened project, one line each: an address below the project's, what shows there, and, for those in the
 * bar at the side, a label and a sign. `main.tsx` leads to them, `OpenedProject.tsx` lists them. Build, which a project opens
 * on, comes with the application; another place's code is loaded when it is first shown, or once the browser has nothing
 * else to do.
 */
import {
  Box,
  Database,
  FileCode2,
  History,
  Languages,
  type LucideIcon,
  Package,
  Palette,
  Waypoints,
} from 'lucide-react';
import { type ComponentType, lazy } from 'react';
import { BuildPlace } from './workbench/BuildPlace.tsx';

export interface Place {
  /** Behind the project's address; empty: the place that a project opens on. */
  readonly path: string;
  readonly Shows: ComponentType;
  /** Loads its code. */
  readonly load: () => Promise<ComponentType>;
  /** Its entry in the bar of places; absent: it is led to from elsewhere, and fills the window alone. */
  readonly entry?: { readonly label: string; readonly icon: LucideIcon };
}

/** A place whose code is loaded when it is first shown. */
const later = (load: Place['load']): Pick<Place, 'Shows' | 'load'> => ({
  load,
  Shows: lazy(async () => ({ default: await load() })),
});

// biome-ignore format: one place a line.
export const places: readonly Place[] = [
  { path: '', Shows: BuildPlace, load: async () => BuildPlace, entry: { label: 'Build', icon: Box } },
  { path: 'ways', ...later(async () => (await import('./ways/WaysPlace.tsx')).WaysPlace), entry: { label: 'Ways', icon: Waypoints } },
  { path: 'words', ...later(async () => (await import('./words/WordsPlace.tsx')).WordsPlace), entry: { label: 'Words', icon: Languages } },
  { path: 'data', ...later(async () => (await import('./data/DataPlace.tsx')).DataPlace), entry: { label: 'Data', icon: Database } },
  { path: 'code', ...later(async () => (await import('./code/CodePlace.tsx')).CodePlace), entry: { label: 'Code', icon: FileCode2 } },
  { path: 'theme', ...later(async () => (await import('./theme/ThemePlace.tsx')).ThemePlace), entry: { label: 'Theme', icon: Palette } },
  { path: 'versions', ...later(async () => (await import('./versions/VersionsPlace.tsx')).VersionsPlace), entry: { label: 'Versions', icon: History } },
  { path: 'ship', ...later(async () => (await import('./ship/ShipPlace.tsx')).ShipPlace), entry: { label: 'Ship', icon: Package } },
  { path: 'try', ...later(async () => (await import('./try/TryPlace.tsx')).TryPlace) },
  { path: 'wall', ...later(async () => (await import('./wall/WallPlace.tsx')).WallPlace) },
];

/** Loads the code of every place, one after the other, each when the browser is idle. */
export function loadOtherPlaces(): void {
  const left = places.map(({ load }) => load);
  const next = () => {
    // A place that cannot be loaded now is asked for again when it is shown.
    void left
      .shift()?.()
      .catch(() => {})
      .then(() => left.length > 0 && requestIdleCallback(next));
  };
  requestIdleCallback(next);
}
