/** A screen as an SVG that needs nothing else: its fonts and pictures are in it. */
import { extname } from 'node:path';
import {
  type Control,
  carriedFonts,
  charactersToCut,
  entryOf,
  fontFilesOf,
  type Project,
  pictureOf,
  picturesIn,
  ScreenView,
  type View,
} from '@hovrin/core';
import { handedFont } from './cut-fonts.ts';
import { loadFontManifest, loadShaper } from './fonts.ts';

const mediaTypes: Readonly<Record<string, string>> = {
  '.svg': 'image/svg+xml',
  '.png': 'image/png',
  '.jpg': 'image/jpeg',
  '.jpeg': 'image/jpeg',
  '.webp': 'image/webp',
  '.gif': 'image/gif',
};

/** What is drawn, and how. */
export interface Drawing {
  /** With its components made into controls (`expandedProject`). */
  readonly project: Project;
  readonly screen: Control;
  readonly view: View;
  /** The whole screen, also what lies below the view. */
  readonly isWhole?: boolean;
  /** The bytes of a picture of the project; undefined: they are not there, and it is left out. */
  readonly pictureBytes: (name: string) => Promise<Uint8Array | undefined>;
}

export async function drawScreen({
  project,
  screen,
  view,
  isWhole = false,
  pictureBytes,
}: Drawing): Promise<string> {
  const [shaper, manifest] = await Promise.all([loadShaper(), loadFontManifest()]);
  const layout = new ScreenView(shaper).layOut(project, screen, view);
  const files = fontFilesOf(manifest, layout);
  const fonts = new Map<string, string>();
  const words = layout.boxes.flatMap(({ lines, look }) => [
    ...lines.map(({ text }) => text),
    look.inner?.text ?? '',
  ]);
  const cutFonts = charactersToCut({ files }, words);
  for (const { file } of files)
    fonts.set(file, (await handedFont({ cutFonts }, `${file}.woff2`)).toString('base64'));
  const pictures = new Map<string, string>();
  for (const name of picturesIn(layout)) {
    const bytes = await pictureBytes(name);
    const type = mediaTypes[extname(name).toLowerCase()];
    if (bytes && type) pictures.set(name, `data:${type};base64,${Buffer.from(bytes).toString('base64')}`);
  }
  return pictureOf(layout, {
    ...(isWhole ? {} : { height: view.height }),
    rightToLeft: view.rightToLeft ?? false,
    pictureAddress: (name) => pictures.get(name),
    pictureSize: (name) => project.assets.find((asset) => asset.name === name),
    fontRules: carriedFonts(files, (file) => entryOf(fonts, file)),
  });
}
