/** Buttons at the map's corner: nearer, farther, all of it. */
import { Maximize, Minus, Plus } from 'lucide-react';
import type { MapView } from './useMapView.ts';

export const MapNearness = ({ view }: { readonly view: MapView }) => (
  <fieldset className="absolute right-4 bottom-4 flex rounded-md border border-rule bg-sheet p-0.5 shadow-sm">
    <legend className="sr-only">How near</legend>
    <button
      type="button"
      className="btn-bare"
      aria-label="Farther"
      title="Farther (-)"
      onClick={view.farther}
    >
      <Minus size={15} />
    </button>
    <output className="grid w-12 place-items-center text-[12px]">{Math.round(view.zoom * 100)} %</output>
    <button type="button" className="btn-bare" aria-label="Nearer" title="Nearer (+)" onClick={view.nearer}>
      <Plus size={15} />
    </button>
    <button
      type="button"
      className="btn-bare"
      aria-label="All of it"
      title="All of it (0)"
      onClick={view.whole}
    >
      <Maximize size={15} />
    </button>
  </fieldset>
);
