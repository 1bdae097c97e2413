/** Fonts as they are handed over: whole, or with the characters in use where a font is much larger than that. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Exported } from '@hovrin/core';
import subsetFont from 'subset-font';
import { fontFolder } from './fonts.ts';

/** A font file with some of its characters. @param name with its ending, `.woff2`. */
export async function cutFont(name: string, characters: string): Promise<Buffer> {
  return subsetFont(await readFile(join(fontFolder, name)), characters, { targetFormat: 'woff2' });
}

/** The bytes of a font of what is handed over. @param name with its ending. @throws where the fonts have not been built. */
export function handedFont({ cutFonts }: Pick<Exported, 'cutFonts'>, name: string): Promise<Buffer> {
  const characters = cutFonts?.get(name);
  return characters === undefined ? readFile(join(fontFolder, name)) : cutFont(name, characters);
}
