/** The working bay as a file: SVG with its fonts and pictures in it, or PNG drawn from that. */
import { carriedFonts, type FontManifest, fontFilesOf, pictureOf, type ScreenLayout } from '@hovrin/core';

async function base64(address: string): Promise<{ type: string; data: string } | undefined> {
  const response = await fetch(address);
  if (!response.ok) return undefined;
  const bytes = new Uint8Array(await response.arrayBuffer());
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return { type: response.headers.get('content-type') ?? 'application/octet-stream', data: btoa(text) };
}

/**
 * @param height what is shown of the screen, CSS px.
 * @param addressOf where a picture of the project lies.
 */
export async function svgOf(
  layout: ScreenLayout,
  height: number,
  addressOf: (name: string) => string,
): Promise<string> {
  const manifest: FontManifest = await (await fetch('/fonts/fonts.json')).json();
  const files = fontFilesOf(manifest, layout);
  const fonts = new Map<string, string>();
  const pictures = new Map<string, string>();
  const names = new Set(layout.boxes.flatMap(({ look }) => look.picture ?? []));
  await Promise.all([
    ...files.map(async ({ file }) => {
      fonts.set(file, (await base64(`/fonts/${file}.woff2`))?.data ?? '');
    }),
    ...[...names].map(async (name) => {
      const found = await base64(addressOf(name));
      if (found) pictures.set(name, `data:${found.type};base64,${found.data}`);
    }),
  ]);
  return pictureOf(layout, {
    height,
    pictureAddress: (name) => pictures.get(name),
    fontRules: carriedFonts(files, (file) => fonts.get(file) ?? ''),
  });
}

/** @param ratio device px for each CSS px. @throws Error where the browser cannot draw it. */
export async function pngOf(svg: string, width: number, height: number, ratio: number): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = width * ratio;
  canvas.height = height * ratio;
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('The picture is too large.'))),
      'image/png',
    ),
  );
}
