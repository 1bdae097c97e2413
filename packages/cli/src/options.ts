/** Reading a command's words, by Node's own parser. */

import { type ParseArgsConfig, parseArgs } from 'node:util';
import { messageOf } from '@hovrin/core';
import { BadInput } from './bad-input.ts';

/** Parses words strictly. @throws BadInput for an option that does not exist or lacks its value. */
export function readOptions<T extends NonNullable<ParseArgsConfig['options']>>(
  words: readonly string[],
  options: T,
) {
  try {
    return parseArgs({ args: [...words], options, allowPositionals: true, strict: true });
  } catch (error) {
    throw new BadInput(messageOf(error));
  }
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** `390x844` as CSS px. @throws BadInput where it is no size. */
export function readSize(text: string): Size {
  const match = /^(\d+(?:\.\d+)?)x(\d+(?:\.\d+)?)$/.exec(text);
  const [width, height] = [Number(match?.[1]), Number(match?.[2])];
  if (!match || width < 1 || height < 1 || width > 20_000 || height > 20_000)
    throw new BadInput(`\`${text}\` is not a size; write it as 390x844.`);
  return { width, height };
}
