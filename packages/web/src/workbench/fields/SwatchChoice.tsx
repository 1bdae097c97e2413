/** A swatch at the end of a field: it shows what its value looks like, and opens what chooses another. */
import type { CSSProperties, ReactNode } from 'react';
import { ChoicePopover } from './ChoicePopover.tsx';

interface SwatchChoiceProps {
  /** What the value is called, in the name of the button. */
  readonly label: string;
  readonly shown: CSSProperties;
  readonly className?: string;
  /** Where it stands in its field. */
  readonly side?: 'left' | 'right';
  readonly onDone?: () => void;
  readonly children: () => ReactNode;
}

const nothing = () => undefined;

export const SwatchChoice = ({
  label,
  shown,
  className = '',
  side = 'right',
  onDone = nothing,
  children,
}: SwatchChoiceProps) => (
  <ChoicePopover
    label={`Choose ${label}`}
    className={className}
    button={
      <button
        type="button"
        className={`absolute inset-y-0 my-auto size-5 rounded-sm border border-rule ${side === 'left' ? 'left-1' : 'right-1'}`}
        style={shown}
        aria-label={`Choose ${label}`}
      />
    }
    onDone={onDone}
  >
    {children}
  </ChoicePopover>
);
