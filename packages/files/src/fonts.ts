/** The fonts that ship, from packages/core/fonts (made by scripts/fonts.mjs). */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Letters, PackedFonts } from '@hovrin/core';
import { Shaper } from '@hovrin/core/text/shaper';

/** The workspace's root. Sources and bundles both lie three folders below it. */
export const workspace = join(import.meta.dirname, '../../..');
export const fontFolder = join(workspace, 'packages/core/fonts');

/** The list of font files. @throws where the fonts have not been built. */
export async function loadFontManifest(): Promise<PackedFonts> {
  return JSON.parse(await readFile(join(fontFolder, 'fonts.json'), 'utf8'));
}

const shapers = new Map<Letters, Promise<Shaper>>();

/** The shaper with all fonts loaded; the same one for all callers. @param letters how wide they are. */
export function loadShaper(letters: Letters = 'exact'): Promise<Shaper> {
  let shaper = shapers.get(letters);
  shaper ??= loadFontManifest().then((manifest) =>
    Shaper.load(manifest, (file) => readFile(join(fontFolder, file)), letters),
  );
  shapers.set(letters, shaper);
  return shaper;
}
