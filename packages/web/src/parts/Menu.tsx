/** A menu behind a button. */
import { Check } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

export interface MenuEntry {
  readonly label: string;
  readonly keys?: string;
  readonly disabled?: boolean;
  readonly danger?: boolean;
  /** One of several that is in force. */
  readonly checked?: boolean;
  readonly onSelect: () => void;
}

export function Menu({
  button,
  entries,
  label,
}: {
  button: ReactNode;
  /** A function is asked when the menu opens. */
  entries: readonly MenuEntry[] | (() => readonly MenuEntry[]);
  label: string;
}) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{button}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className="menu max-h-96 overflow-y-auto"
          align="end"
          sideOffset={4}
          aria-label={label}
          collisionPadding={8}
        >
          <Entries entries={entries} />
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** Only there while the menu is open. */
function Entries({ entries }: { entries: readonly MenuEntry[] | (() => readonly MenuEntry[]) }) {
  const list = typeof entries === 'function' ? entries() : entries;
  return list.map((entry) => (
    <DropdownMenu.Item
      key={entry.label}
      className={`menu-item ${entry.danger ? 'text-brick' : ''}`}
      disabled={entry.disabled ?? false}
      onSelect={entry.onSelect}
    >
      <span className={entry.checked ? 'font-semibold' : ''}>{entry.label}</span>
      {entry.checked && <Check size={13} aria-label="in force" />}
      {entry.keys && <span className="key">{entry.keys}</span>}
    </DropdownMenu.Item>
  ));
}
