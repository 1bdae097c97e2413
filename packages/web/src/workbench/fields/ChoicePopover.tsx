/** What opens at the end of a field, to choose its value in. */
import { Popover } from 'radix-ui';
import { type ReactElement, type ReactNode, useState } from 'react';

/** What something to choose a value in is given. */
export interface ChoiceProps {
  /** What the value is called, in the names of buttons. */
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string) => void;
  /** A choice has come to its end. */
  readonly onDone: () => void;
}

interface ChoicePopoverProps {
  readonly label: string;
  /** What opens it. */
  readonly button: ReactElement;
  readonly className?: string;
  /** It was closed, with a choice or without. */
  readonly onDone: () => void;
  /** What is in it; `close` closes it. */
  readonly children: (close: () => void) => ReactNode;
}

export function ChoicePopover({ label, button, className = '', onDone, children }: ChoicePopoverProps) {
  const [open, setOpen] = useState(false);
  const change = (next: boolean) => {
    setOpen(next);
    if (!next) onDone();
  };
  return (
    <Popover.Root open={open} onOpenChange={change}>
      <Popover.Trigger asChild>{button}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          className={`menu flex flex-col gap-2 !p-3 ${className}`}
          align="end"
          sideOffset={6}
          collisionPadding={8}
          aria-label={label}
        >
          {children(() => change(false))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
