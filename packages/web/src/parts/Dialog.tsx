/** A dialog over everything, with a title and a way out. */
import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

export function Dialog({
  title,
  onClose,
  children,
  width = 480,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  width?: number;
}) {
  return (
    <Radix.Root open onOpenChange={(open) => !open && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Radix.Content
          aria-describedby={undefined}
          onOpenAutoFocus={(event) => {
            // One comes to a dialog to fill it in, not to close it.
            const dialog = event.currentTarget;
            if (!(dialog instanceof HTMLElement)) return;
            const field =
              dialog.querySelector<HTMLInputElement>('[data-begin]') ??
              dialog.querySelector<HTMLInputElement>('input:not([type="file"]), textarea');
            if (!field) return;
            event.preventDefault();
            field.focus();
            field.select?.();
          }}
          onEscapeKeyDown={(event) => {
            // What is being typed in a cell is given up first.
            if (event.target instanceof HTMLElement && event.target.closest('[data-keeps-escape]'))
              event.preventDefault();
          }}
          className="fixed top-1/2 left-1/2 z-50 flex max-h-[85vh] -translate-x-1/2 -translate-y-1/2 flex-col rounded-md border border-rule bg-sheet shadow-xl"
          style={{ width, maxWidth: 'calc(100vw - 32px)' }}
        >
          <div className="flex items-center justify-between border-b border-rule py-2 pr-2 pl-4">
            <Radix.Title className="text-[15px] font-semibold">{title}</Radix.Title>
            <Radix.Close className="btn-bare" aria-label="Close">
              <X size={16} />
            </Radix.Close>
          </div>
          <div className="overflow-y-auto p-4">{children}</div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
