/** Items of repeats, as what stands in them knows them. */
import { type Signal, signal } from '@preact/signals-core';

/** The item of a repeat that something stands in, and the items around that one. */
export interface ItemFrame {
  readonly name: string;
  readonly value: Signal<unknown>;
  readonly around: ItemFrame | undefined;
}

/** A place for an item, which may change while what is bound to it stays. */
export const itemFrame = (name: string, value: unknown, around: ItemFrame | undefined): ItemFrame => ({
  name,
  value: signal(value),
  around,
});
