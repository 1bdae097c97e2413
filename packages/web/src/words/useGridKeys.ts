/** Keys in the grid of words: they go from cell to cell, and begin to fill one in. */
import type { KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';

/** A cell: 0 is the source, the languages follow. */
export interface At {
  readonly row: number;
  readonly column: number;
}

interface GridKeys {
  readonly at: At;
  readonly rows: number;
  readonly columns: number;
  readonly isEditing: boolean;
  readonly onAt: (at: At) => void;
  readonly move: (down: number, across: number) => void;
  /** Begins to edit the cell, with a text in its field. */
  readonly begin: (text: string) => void;
  /** What the cell holds. */
  readonly text: () => string;
  /** Empties the cell. */
  readonly empty: () => void;
}

const steps: Readonly<Record<string, readonly [down: number, across: number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageDown: [10, 0],
  PageUp: [-10, 0],
};

export function useGridKeys({ at, rows, columns, isEditing, onAt, move, begin, text, empty }: GridKeys) {
  return (event: KeyboardEvent): void => {
    if (isEditing || event.altKey) return;
    const { key } = event;
    const step = steps[key];
    if (event.ctrlKey || event.metaKey) {
      if (key === 'Home') onAt({ ...at, row: 0 });
      else if (key === 'End') onAt({ ...at, row: rows - 1 });
      else return;
    } else if (step) move(...step);
    else if (key === 'Home') onAt({ ...at, column: 0 });
    else if (key === 'End') onAt({ ...at, column: columns });
    else if (key === 'Enter' || key === 'F2') begin(text());
    else if (key === 'Delete') empty();
    else {
      // The key itself, or what an input method makes of it, goes into the field that is there by then.
      if (key.length === 1 || key === 'Process') flushSync(() => begin(''));
      return;
    }
    event.preventDefault();
  };
}
