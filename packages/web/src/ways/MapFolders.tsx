/** Folders on the map, each around the screens in it. */
import type { foldersOn } from './mapModel.ts';

export const MapFolders = ({ folders }: { readonly folders: ReturnType<typeof foldersOn> }) =>
  folders.map(({ name, x, y, width, height }) => (
    <div
      key={name}
      data-map-ground
      className="absolute rounded-lg border border-rule bg-sunk/60"
      style={{ left: x, top: y, width, height }}
    >
      <h2 className="px-4 pt-2 text-[13px] font-semibold text-quiet">{name}</h2>
    </div>
  ));
