// biome-ignore-all lint/a11y/useSemanticElements: rows are only there while they can be seen, which a table cannot have.
// biome-ignore-all lint/a11y/useFocusableInteractive: the grid has the focus and names the cell (`aria-activedescendant`).
/** The heads of a table's columns: what each is, and sorting by it. */
import { ArrowDown, ArrowUp, ArrowUpDown } from 'lucide-react';
import type { TableGridProps } from '../TableGrid.tsx';
import { numberWidth, rowHeight } from './sizes.ts';

interface GridHeadProps extends Pick<TableGridProps, 'columns' | 'question' | 'onSort' | 'onColumn'> {
  /** Of the columns, px. */
  readonly widths: readonly number[];
}

export function GridHead({ columns, widths, question, onSort, onColumn }: GridHeadProps) {
  return (
    <div role="rowgroup" className="sticky top-0 z-10 bg-sunk">
      <div role="row" aria-rowindex={1} className="flex" style={{ height: rowHeight }}>
        <span
          role="columnheader"
          className="border-r border-b border-rule text-center leading-[29px] text-quiet"
          style={{ width: numberWidth }}
        >
          #
        </span>
        {columns.map((column, index) => (
          <span
            key={column.name}
            role="columnheader"
            aria-sort={
              question.sort === column.name ? (question.descending ? 'descending' : 'ascending') : undefined
            }
            className="flex shrink-0 border-r border-b border-rule"
            style={{ width: widths[index] }}
          >
            <button
              type="button"
              className="flex h-full min-w-0 flex-1 items-center gap-1.5 pl-2 font-medium hover:bg-rule/40"
              title="Name, type and rules of the column"
              onClick={() => onColumn(index)}
            >
              <span className="truncate">{column.name}</span>
              <span className="ml-auto text-[11px] font-normal text-quiet">
                {column.type === 'boolean' ? 'yes / no' : column.type}
                {column.role ? `, ${column.role}` : column.required ? ', required' : ''}
              </span>
            </button>
            <SortButton column={column.name} question={question} onSort={onSort} />
          </span>
        ))}
      </div>
    </div>
  );
}

/** Sorts by a column: upwards, then downwards, then as the rows stand. */
function SortButton({
  column,
  question,
  onSort,
}: Pick<TableGridProps, 'question' | 'onSort'> & { readonly column: string }) {
  const isSorted = question.sort === column;
  const isDown = isSorted && question.descending === true;
  const Arrow = isDown ? ArrowDown : isSorted ? ArrowUp : ArrowUpDown;
  return (
    <button
      type="button"
      className={`px-1 hover:bg-rule/40 ${isSorted ? 'text-spruce' : 'text-quiet/70'}`}
      aria-label={`Sort by ${column}`}
      title={isDown ? 'As the rows stand' : isSorted ? 'The greatest first' : 'The least first'}
      onClick={() => onSort(isDown ? {} : { sort: column, descending: isSorted })}
    >
      <Arrow size={12} aria-hidden />
    </button>
  );
}
