/** The head of what stands beside or below the running pages: its title, what can be done with it, and a way to close it. */
import { X } from 'lucide-react';
import type { ReactNode } from 'react';

interface PaneHeadProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

export const PaneHead = ({ title, onClose, children }: PaneHeadProps) => (
  <div className="flex h-9 shrink-0 items-center gap-2 border-b border-rule/60 px-3">
    <h2 className="font-semibold">{title}</h2>
    {children}
    <button
      type="button"
      className="btn-bare"
      aria-label={`Close the ${title.toLowerCase()}`}
      onClick={onClose}
    >
      <X size={14} />
    </button>
  </div>
);
