/** Pictures as they are stored. */
import { cleanSvg } from '@hovrin/core';

/** The first bytes of the files that are pictures, in hexadecimal, by media type. */
const beginnings: Readonly<Record<string, RegExp>> = {
  'image/png': /^89504e470d0a1a0a/,
  'image/jpeg': /^ffd8ff/,
  'image/webp': /^52494646.{8}57454250/,
  'image/gif': /^47494638(37|39)61/,
};

/** A picture that is not what it says it is; the message is for the person. */
export class UnfitPicture extends Error {}

/**
 * A picture as it is stored: an SVG is rebuilt of what draws, whoever sent it.
 *
 * @param type media type
 * @throws UnfitPicture where the bytes are no picture of that type.
 */
export function storable(name: string, type: string, bytes: Uint8Array): Uint8Array {
  if (type !== 'image/svg+xml') {
    if (beginnings[type]?.test(Buffer.from(bytes.subarray(0, 16)).toString('hex'))) return bytes;
    throw new UnfitPicture(`${name} is not what it says it is: ${type}.`);
  }
  const cleaned = cleanSvg(new TextDecoder().decode(bytes));
  if (!cleaned.ok) throw new UnfitPicture(`${name} cannot be read: ${cleaned.message}`);
  return new TextEncoder().encode(cleaned.text);
}
