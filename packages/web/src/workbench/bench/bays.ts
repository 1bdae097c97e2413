/** The bays that are shown, and what is being dragged over them. */
import type { Control, Rectangle, ScreenLayout } from '@hovrin/core';
import { createContext, useContext } from 'react';
import type { InsertPlace } from '../../editor/editor.ts';
import type { Drop } from '../hands/drop.ts';

/** A bay as it stands on the bench. */
export interface ShownBay {
  readonly element: HTMLElement;
  readonly layout: ScreenLayout;
  readonly scale: number;
  readonly screen: Control;
}

/** Where what is dragged would land. */
export interface PendingDrop {
  readonly place: InsertPlace;
  readonly words: string;
  /** The bay that it is over, with the line to draw; absent over the tree. */
  readonly bay?: string;
  readonly drop?: Drop;
}

export interface Bays {
  readonly register: (id: string, bay: ShownBay) => void;
  readonly unregister: (id: string) => void;
  readonly drop: PendingDrop | undefined;
  /** A rectangle that is being drawn around controls, on one bay. */
  readonly lasso: { readonly bay: string; readonly area: Rectangle } | undefined;
}

export const BaysContext = createContext<Bays | undefined>(undefined);

export function useBays(): Bays {
  const bays = useContext(BaysContext);
  if (!bays) throw new Error('There is no bench around this component');
  return bays;
}
