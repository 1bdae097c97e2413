/** Bringing pictures from the computer into the project. */
import { type Asset, cleanSvg, putting, type Step } from '@hovrin/core';
import { api } from '../api.ts';
import type { Editor } from './editor.ts';

/**
 * Stores a picture with the project, under a name that is free; the project does not name it yet.
 *
 * @throws Error where the file is not a picture, or the server does not take it.
 */
export async function storePicture(editor: Editor, chosen: File): Promise<Asset> {
  const { file, leftOut } = await onlyDrawing(chosen);
  const size = await naturalSize(file);
  const dot = file.name.lastIndexOf('.');
  const stem =
    (dot > 0 ? file.name.slice(0, dot) : file.name).replace(/[^\w-]+/g, '-').replace(/^[^\w]+/, '') ||
    'picture';
  const ending = dot > 0 ? file.name.slice(dot).toLowerCase() : '';
  const taken = (candidate: string) => editor.state.project.assets.some((asset) => asset.name === candidate);
  let name = `${stem}${ending}`;
  for (let count = 2; taken(name); count++) name = `${stem}-${count}${ending}`;
  const asset: Asset = { name, type: file.type, ...size };
  await api.putAsset(editor.projectId, asset, file);
  if (leftOut.length > 0)
    editor.tell(
      `${file.name} had something in it that does not draw; that was left out: ${leftOut.join(', ')}.`,
    );
  return asset;
}

/** An SVG file rebuilt of what draws; any other file as it is. @throws Error where it is no SVG picture. */
async function onlyDrawing(file: File): Promise<{ file: File; leftOut: readonly string[] }> {
  if (file.type !== 'image/svg+xml') return { file, leftOut: [] };
  const cleaned = cleanSvg(await file.text());
  if (!cleaned.ok) throw new Error(`${file.name} cannot be read: ${cleaned.message}`);
  return { file: new File([cleaned.text], file.name, { type: file.type }), leftOut: cleaned.leftOut };
}

/** The step that makes stored pictures known to the project. */
export const pictureSteps = (assets: readonly Asset[]): Step[] =>
  assets.map((asset) => putting('assets', asset));

/** A picture's own size in CSS px. @throws Error where the file is not a picture. */
function naturalSize(file: File): Promise<{ width: number; height: number }> {
  return new Promise((resolve, reject) => {
    const address = URL.createObjectURL(file);
    const image = new Image();
    image.onload = () => {
      URL.revokeObjectURL(address);
      resolve({ width: image.naturalWidth || 300, height: image.naturalHeight || 150 });
    };
    image.onerror = () => {
      URL.revokeObjectURL(address);
      reject(new Error(`${file.name} is not a picture that can be shown.`));
    };
    image.src = address;
  });
}
