/** A menu behind a button. */
import { Check } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { type ButtonHTMLAttributes, cloneElement, type ReactElement, useState } from 'react';

export interface MenuEntry {
  readonly label: string;
  readonly keys?: string;
  readonly disabled?: boolean;
  readonly danger?: boolean;
  /** One of several that is in force. */
  readonly checked?: boolean;
  readonly onSelect: () => void;
}

interface MenuProps {
  /** Takes what opens the menu: a button with its own handlers for the pointer and keys. */
  readonly button: ReactElement<ButtonHTMLAttributes<HTMLButtonElement>>;
  /** A function is asked when the menu opens. */
  readonly entries: readonly MenuEntry[] | (() => readonly MenuEntry[]);
  readonly label: string;
}

/** A screen has hundreds of menus, so each is nothing but its button until somebody goes near it. */
export function Menu(props: MenuProps) {
  const [state, setState] = useState<'away' | 'near' | 'open'>('away');
  if (state !== 'away') return <MadeMenu {...props} openNow={state === 'open'} />;
  return cloneElement(props.button, {
    'aria-haspopup': 'menu',
    'aria-expanded': false,
    onPointerEnter: () => setState('near'),
    // Fingers press what they were never near, and a fast press comes before the menu is made.
    onPointerDown: (event) => {
      props.button.props.onPointerDown?.(event);
      if (event.button !== 0 || event.ctrlKey) return;
      // The button does not take the focus, which the menu wants at once.
      event.preventDefault();
      setState('open');
    },
    onKeyDown: (event) => {
      if (event.key !== 'Enter' && event.key !== ' ' && event.key !== 'ArrowDown') return;
      event.preventDefault();
      event.stopPropagation();
      setState('open');
    },
    // As assistive technology presses it, without a pointer or keys.
    onClick: (event) => {
      props.button.props.onClick?.(event);
      setState('open');
    },
  });
}

function MadeMenu({ button, entries, label, openNow }: MenuProps & { readonly openNow: boolean }) {
  return (
    <DropdownMenu.Root modal={false} defaultOpen={openNow}>
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
