/** A picture to build after: laid under the working bay or over it, kept in this browser for each screen and band. */

import type { ScreenLayout } from '@hovrin/core';
import { numberAt } from '@hovrin/core';
import { useCallback, useEffect, useState } from 'react';
import { svgOf } from '../bays/savePicture.ts';

export const tracingModes = {
  under: 'Under',
  blend: 'Blend',
  wipe: 'Wipe',
  difference: 'Difference',
} as const;
export type TracingMode = keyof typeof tracingModes;

export interface Tracing {
  readonly picture: Blob;
  readonly mode: TracingMode;
  /** From 0 to 1; of a wipe: how far it has gone. */
  readonly amount: number;
  /** CSS px of the screen for each px of the picture. */
  readonly scale: number;
  /** Place of the picture's top left corner on the screen, CSS px. */
  readonly x: number;
  readonly y: number;
}

const storeName = 'tracings';

function openStore(mode: IDBTransactionMode): Promise<IDBObjectStore> {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open('hovrin', 1);
    opening.onupgradeneeded = () => opening.result.createObjectStore(storeName);
    opening.onsuccess = () => resolve(opening.result.transaction(storeName, mode).objectStore(storeName));
    opening.onerror = () => reject(opening.error);
  });
}

async function readTracing(key: string): Promise<Tracing | undefined> {
  const store = await openStore('readonly');
  return new Promise((resolve) => {
    const request = store.get(key);
    request.onsuccess = () => resolve(request.result as Tracing | undefined);
    request.onerror = () => resolve(undefined);
  });
}

async function keepTracing(key: string, tracing: Tracing | undefined): Promise<void> {
  const store = await openStore('readwrite');
  if (tracing) store.put(tracing, key);
  else store.delete(key);
}

/** The tracing of a place, and what changes it; undefined takes it away. */
export function useTracing(key: string): [Tracing | undefined, (next: Tracing | undefined) => void] {
  const [tracing, setTracing] = useState<Tracing>();
  useEffect(() => {
    let gone = false;
    setTracing(undefined);
    void readTracing(key).then((found) => !gone && setTracing(found));
    return () => {
      gone = true;
    };
  }, [key]);
  const change = useCallback(
    (next: Tracing | undefined) => {
      setTracing(next);
      void keepTracing(key, next);
    },
    [key],
  );
  return [tracing, change];
}

/** The address of a blob, as long as it is shown. */
export function useAddress(blob: Blob | undefined): string | undefined {
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    if (!blob) return setAddress(undefined);
    const made = URL.createObjectURL(blob);
    setAddress(made);
    return () => URL.revokeObjectURL(made);
  }, [blob]);
  return address;
}

/** How far a colour may be off, of 255, before a pixel counts as another one. */
const sameColour = 40;

/** The share of a window's pixels in which a screen and the picture differ; undefined where it cannot be drawn. */
export async function differingShare(
  layout: ScreenLayout,
  tracing: Tracing,
  height: number,
  addressOf: (name: string) => string,
): Promise<number | undefined> {
  const width = Math.round(layout.width);
  const svg = await svgOf(layout, height, addressOf);
  const own = new Image();
  own.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  const [picture] = await Promise.all([createImageBitmap(tracing.picture), own.decode()]);
  const { x, y, scale } = tracing;
  // In the picture's own pixels: made smaller first, fine lines and letters would come out differently.
  const fine = Math.max(1, Math.min(3, 1 / scale));
  const [across, down] = [Math.round(width * fine), Math.round(height * fine)];
  const pixels = (draw: (context: OffscreenCanvasRenderingContext2D) => void) => {
    const context = new OffscreenCanvas(across, down).getContext('2d', { willReadFrequently: true })!;
    context.fillStyle = '#fff';
    context.fillRect(0, 0, across, down);
    context.scale(fine, fine);
    draw(context);
    return context.getImageData(0, 0, across, down).data;
  };
  const a = pixels((context) => context.drawImage(own, 0, 0, width, height));
  const b = pixels((context) =>
    context.drawImage(picture, x, y, picture.width * scale, picture.height * scale),
  );
  let far = 0;
  for (let at = 0; at < a.length; at += 4)
    if (
      [0, 1, 2].some(
        (channel) => Math.abs(numberAt(a, at + channel) - numberAt(b, at + channel)) > sameColour,
      )
    )
      far++;
  return far / (across * down);
}
