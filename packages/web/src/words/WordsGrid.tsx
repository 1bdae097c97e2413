// biome-ignore-all lint/a11y/useSemanticElements: rows are only there while they can be seen, which a table cannot have.
/** The texts of the project, a row each, with a column for each language: moved through and filled in like a spreadsheet. */
import type { StringState } from '@hovrin/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { languageWords } from '../parts/languageWords.ts';
import { translationAt, useCellEditing } from './useCellEditing.ts';
import type { At } from './useGridKeys.ts';
import type { Typed, WordsRow } from './wordsModel.ts';

interface WordsGridProps {
  readonly rows: readonly WordsRow[];
  readonly source: string;
  readonly tags: readonly string[];
  readonly at: At;
  readonly onAt: (at: At) => void;
  readonly onType: (typed: readonly Typed[]) => void;
  readonly onPaste: (text: string) => void;
}

const rowHeight = 44;

/** Signs of how a translation stands, told apart by shape, too. */
const signs: Readonly<
  Record<StringState, { readonly sign: string; readonly words: string; readonly tone: string }>
> = {
  done: { sign: '', words: 'translated', tone: '' },
  missing: { sign: '○', words: 'missing', tone: 'text-quiet' },
  stale: { sign: '△', words: 'stale: the source changed', tone: 'text-copper' },
  wrong: { sign: '✕', words: 'not used: something is wrong', tone: 'text-brick' },
  unused: { sign: '–', words: 'the text is gone', tone: 'text-quiet' },
};

export function WordsGrid({ rows, source, tags, at, onAt, onType, onPaste }: WordsGridProps) {
  const frame = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => rowHeight,
    overscan: 8,
  });
  const columns = `minmax(200px, 1.2fr) repeat(${tags.length}, minmax(180px, 1fr))`;
  const current = rows[at.row];
  const cellId = (row: number, column: number) => `words-${row}-${column}`;

  useEffect(() => {
    if (rows.length > 0) virtual.scrollToIndex(Math.min(at.row, rows.length - 1));
  }, [at.row, rows.length, virtual]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the cell that is gone to is brought into sight.
  useEffect(() => {
    document
      .getElementById(cellId(at.row, at.column))
      ?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [at.column, tags.length]);

  const { editing, begin, done, cancel, keys } = useCellEditing({ frame, rows, tags, at, onAt, onType });
  return (
    <div
      ref={frame}
      role="grid"
      aria-label="Words"
      aria-rowcount={rows.length + 1}
      aria-colcount={tags.length + 1}
      aria-activedescendant={current ? cellId(at.row, at.column) : undefined}
      tabIndex={0}
      data-region-begin
      className="min-h-0 flex-1 scroll-pt-9 scroll-pl-56 overflow-auto outline-offset-[-2px]"
      onKeyDown={keys}
      onPaste={(event) => {
        if (editing !== undefined) return;
        event.preventDefault();
        onPaste(event.clipboardData.getData('text/plain'));
      }}
    >
      <Heads tags={[source, ...tags]} columns={columns} />
      <div role="presentation" className="relative min-w-fit" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          if (!row) return null;
          return (
            <div
              key={row.key}
              role="row"
              aria-rowindex={index + 2}
              tabIndex={-1}
              className="absolute inset-x-0 grid min-w-fit border-b border-rule/60"
              style={{ top: start, height: rowHeight, gridTemplateColumns: columns }}
            >
              {[undefined, ...tags].map((of, column) => {
                const isAt = index === at.row && column === at.column;
                return (
                  <Cell
                    key={of ?? 'source'}
                    id={cellId(index, column)}
                    column={column}
                    row={row}
                    tag={of}
                    isAt={isAt}
                    editing={isAt ? editing : undefined}
                    onPress={() => onAt({ row: index, column })}
                    onEdit={() => begin(translationAt(row, of))}
                    onDone={done}
                    onCancel={cancel}
                  />
                );
              })}
            </div>
          );
        })}
      </div>
    </div>
  );
}

/** The source stays in sight, however many languages stand beside it. */
const stays = 'sticky left-0 z-[5]';

const Heads = ({ tags, columns }: { readonly tags: readonly string[]; readonly columns: string }) => (
  <div
    role="row"
    aria-rowindex={1}
    tabIndex={-1}
    className="sticky top-0 z-10 grid min-w-fit border-b border-rule bg-sunk font-semibold"
    style={{ gridTemplateColumns: columns }}
  >
    {tags.map((each, index) => (
      <span
        key={each}
        role="columnheader"
        aria-colindex={index + 1}
        tabIndex={-1}
        className={`px-3 py-1.5 ${index === 0 ? `${stays} bg-sunk` : ''}`}
      >
        {languageWords(each)} <span className="font-normal text-quiet">{each}</span>
      </span>
    ))}
  </div>
);

interface CellProps {
  readonly id: string;
  readonly column: number;
  readonly row: WordsRow;
  /** Undefined: the source. */
  readonly tag: string | undefined;
  readonly isAt: boolean;
  /** What stands in its field; undefined: it is not edited. */
  readonly editing: string | undefined;
  readonly onPress: () => void;
  readonly onEdit: () => void;
  readonly onDone: CellFieldProps['onDone'];
  readonly onCancel: () => void;
}

const Cell = ({ id, column, row, tag, isAt, editing, onPress, onEdit, onDone, onCancel }: CellProps) => (
  <div
    id={id}
    role="gridcell"
    aria-colindex={column + 1}
    aria-selected={isAt}
    tabIndex={-1}
    className={`flex min-w-0 flex-col justify-center px-3 ${isAt ? 'outline-2 -outline-offset-2 outline-lake' : ''} ${tag === undefined ? `${stays} bg-[color-mix(in_srgb,var(--sunk)_30%,var(--ground))]` : 'relative'}`}
    onPointerDown={onPress}
    onDoubleClick={onEdit}
    onKeyDown={() => undefined}
  >
    {tag === undefined ? (
      <SourceCell row={row} />
    ) : editing !== undefined ? (
      <CellField tag={tag} begun={editing} onDone={onDone} onCancel={onCancel} />
    ) : (
      <Translated row={row} tag={tag} />
    )}
  </div>
);

const SourceCell = ({ row }: { readonly row: WordsRow }) => (
  <>
    <span className="truncate">{row.source || '–'}</span>
    <span className="truncate font-mono text-[11px] text-quiet">{row.key}</span>
  </>
);

function Translated({ row, tag }: { readonly row: WordsRow; readonly tag: string }) {
  const of = row.in.get(tag);
  if (!of) return null;
  const { sign, words, tone } = signs[of.state];
  return (
    <span className="flex min-w-0 items-center gap-1.5">
      {sign && (
        <span title={words} className={`shrink-0 font-mono text-[12px] ${tone}`}>
          <span aria-hidden="true">{sign}</span>
          <span className="sr-only">{words}</span>
        </span>
      )}
      <span lang={tag} dir="auto" className="min-w-0 flex-1 truncate">
        {of.translation?.text}
      </span>
    </span>
  );
}

interface CellFieldProps {
  readonly tag: string;
  readonly begun: string;
  /** @param down rows, @param across columns that the cell moves on by. */
  readonly onDone: (text: string, down: number, across: number) => void;
  readonly onCancel: () => void;
}

function CellField({ tag, begun, onDone, onCancel }: CellFieldProps) {
  const field = useRef<HTMLTextAreaElement>(null);
  const isOver = useRef(false);
  const end = (down: number, across: number) => {
    if (isOver.current) return;
    isOver.current = true;
    onDone(field.current?.value ?? begun, down, across);
  };
  useLayoutEffect(() => {
    const { current } = field;
    current?.focus();
    current?.setSelectionRange(current.value.length, current.value.length);
  }, []);
  return (
    <textarea
      ref={field}
      lang={tag}
      dir="auto"
      aria-label={`Translation, ${tag}`}
      defaultValue={begun}
      data-keeps-escape
      className="absolute inset-0 resize-none bg-sheet px-3 py-1 outline-2 -outline-offset-2 outline-spruce"
      onBlur={() => end(0, 0)}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') {
          isOver.current = true;
          onCancel();
        } else if (event.key === 'Enter' && !event.shiftKey) end(1, 0);
        else if (event.key === 'Tab') end(0, event.shiftKey ? -1 : 1);
        else return;
        event.preventDefault();
      }}
    />
  );
}
