/** Where the pictures of a project lie beside its page. */
import type { Asset } from '../document/types.ts';
import type { Theme } from '../values/theme.ts';

/** Where a picture of the project lies beside the page; a drawn stand-in where the project has no such picture. */
export function pictureAddress(name: string, assets: readonly Asset[], theme: Theme): string {
  if (assets.some((asset) => asset.name === name)) return `assets/${encodeURIComponent(name)}`;
  const { missingPictureWidth: width, missingPictureHeight: height } = theme;
  return `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="${theme.colours.line}"/></svg>`)}`;
}
