/**
 * The places of an opened project, one line each: an address below the project's, what shows there, and, for those in the
 * bar at the side, a label and a sign. `main.tsx` leads to them, `OpenedProject.tsx` lists them.
 */
import { Box, Database, type LucideIcon, Package, Palette } from 'lucide-react';
import type { ComponentType } from 'react';
import { DataPlace } from './data/DataPlace.tsx';
import { ShipPlace } from './ship/ShipPlace.tsx';
import { ThemePlace } from './theme/ThemePlace.tsx';
import { TryPlace } from './try/TryPlace.tsx';
import { WallPlace } from './wall/WallPlace.tsx';
import { BuildPlace } from './workbench/BuildPlace.tsx';

export interface Place {
  /** Behind the project's address; empty: the place that a project opens on. */
  readonly path: string;
  readonly Shows: ComponentType;
  /** Its entry in the bar of places; absent: it is led to from elsewhere, and fills the window alone. */
  readonly entry?: { readonly label: string; readonly icon: LucideIcon };
}

export const places: readonly Place[] = [
  { path: '', Shows: BuildPlace, entry: { label: 'Build', icon: Box } },
  { path: 'data', Shows: DataPlace, entry: { label: 'Data', icon: Database } },
  { path: 'theme', Shows: ThemePlace, entry: { label: 'Theme', icon: Palette } },
  { path: 'ship', Shows: ShipPlace, entry: { label: 'Ship', icon: Package } },
  { path: 'try', Shows: TryPlace },
  { path: 'wall', Shows: WallPlace },
];
