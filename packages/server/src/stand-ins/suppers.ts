/** A kitchen's list of suppers that is not there: JSON in pages, with delays and errors on request. */
import { itemAt } from '@hovrin/core';

export interface Supper {
  readonly id: number;
  readonly table: number;
  readonly dish: string;
  readonly count: number;
  readonly price: number;
}

const dishes = [
  { dish: 'Barley soup', price: 9 },
  { dish: 'Dumplings with greens', price: 13.5 },
  { dish: 'Cheese and bread', price: 8 },
  { dish: 'Berry cake', price: 5.5 },
] as const;

const howMany = 57;
/** Most of a page. */
export const mostOfPage = 50;

/** Suppers of a page, the first page being 1. */
export function suppersOf(page: number, size: number): readonly Supper[] {
  const from = (page - 1) * size;
  return Array.from({ length: Math.max(0, Math.min(size, howMany - from)) }, (_, index) => {
    const id = from + index + 1;
    const { dish, price } = itemAt(dishes, (id * 7) % dishes.length);
    return { id, table: ((id * 5) % 12) + 1, dish, count: (id % 3) + 1, price };
  });
}
