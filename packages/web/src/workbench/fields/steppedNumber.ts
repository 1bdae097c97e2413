/** Numbers in texts of properties that keys, and a dragged label, change. */
import type { Property } from '@hovrin/core';

/** Whether it is a length: dragged px for px, to whole steps. */
export const isLength = ({ type }: Property): boolean => type.steps === 'px';
export const isStepped = ({ type }: Property): boolean => type.steps !== undefined;

const pattern = /^(share )?(-?\d+(?:\.\d+)?)(%|px)?$/;

/** A text with its only number changed; undefined where there is not exactly one. */
export function steppedText(text: string, by: number): string | undefined {
  const match = pattern.exec(text.trim());
  if (!match) return undefined;
  const value = Number((Number(match[2]) + by).toFixed(4));
  return `${match[1] ?? ''}${value}${match[3] ?? ''}`;
}

/** The px that a text says and nothing else; undefined where it says something else. */
export function pixelsIn(text: string): number | undefined {
  const match = pattern.exec(text.trim());
  return match && match[1] === undefined && match[3] !== '%' ? Number(match[2]) : undefined;
}
