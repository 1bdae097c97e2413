/** A field and a list below it: type to find, arrows to choose, Enter to take. */
import { type ReactNode, useEffect, useId, useMemo, useRef, useState } from 'react';

interface FindListProps<Item> {
  /** Of the field. */
  readonly label: string;
  readonly listLabel: string;
  readonly placeholder: string;
  /** The items for the typed text, the best first. */
  readonly find: (typed: string) => readonly Item[];
  readonly keyOf: (item: Item) => string;
  readonly onTake: (item: Item) => void;
  readonly row: (item: Item) => ReactNode;
  /** Told which item is chosen: the one that Enter takes. */
  readonly onChosen?: (item: Item | undefined) => void;
  /** Rows of two or three lines, in a long list. */
  readonly tall?: boolean;
  /** What is said where nothing was found. */
  readonly none: (typed: string) => ReactNode;
}

export function FindList<Item>(props: FindListProps<Item>) {
  const { label, listLabel, placeholder, find, keyOf, onTake, onChosen, row, tall, none } = props;
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState(0);
  const list = useRef<HTMLDivElement>(null);
  const id = useId();
  const found = useMemo(() => find(typed), [find, typed]);
  useEffect(() => {
    list.current?.children[chosen]?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  const at = found[chosen];
  useEffect(() => onChosen?.(at), [onChosen, at]);
  const take = (item: Item | undefined) => item !== undefined && onTake(item);
  return (
    <div className="flex flex-col gap-2">
      <input
        className="field"
        role="combobox"
        aria-label={label}
        aria-expanded
        aria-controls={id}
        aria-activedescendant={found[chosen] && `${id}-${keyOf(found[chosen])}`}
        placeholder={placeholder}
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setChosen(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            const by = event.key === 'ArrowDown' ? 1 : -1;
            setChosen((chosen + by + found.length) % Math.max(1, found.length));
          }
          if (event.key === 'Enter') {
            event.preventDefault();
            take(found[chosen]);
          }
        }}
      />
      <div
        ref={list}
        id={id}
        role="listbox"
        aria-label={listLabel}
        className={`flex flex-col overflow-y-auto ${tall ? 'max-h-[60vh]' : 'max-h-80'}`}
      >
        {found.map((item, index) => (
          <div
            key={keyOf(item)}
            id={`${id}-${keyOf(item)}`}
            role="option"
            tabIndex={-1}
            aria-selected={index === chosen}
            className={`flex ${tall ? 'min-h-11 py-1' : 'h-9'} shrink-0 cursor-default items-center gap-3 rounded-sm px-2 ${index === chosen ? 'bg-sunk' : ''}`}
            onPointerMove={() => setChosen(index)}
            onClick={() => take(item)}
            onKeyDown={() => undefined}
          >
            {row(item)}
          </div>
        ))}
        {found.length === 0 && <p className="px-2 py-3 text-quiet">{none(typed)}</p>}
      </div>
    </div>
  );
}
