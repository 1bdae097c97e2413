/** The label of a number: it changes when the label is dragged sideways. */
import { type ReactNode, useRef } from 'react';

/** How far the pointer goes before it drags, screen px. */
const still = 3;

/**
 * @param onStart the label is held. @param onDrag how far it is dragged from there, screen px, and whether what would
 * draw the number to itself shall not. @param onRest it is let go.
 */
export function StepLabel({
  htmlFor,
  says,
  stacked,
  canStep,
  onStart,
  onDrag,
  onRest,
  children,
}: {
  htmlFor: string;
  /** What the property does, in one sentence. */
  says: string;
  /** It stands above its field. */
  stacked: boolean;
  canStep: boolean;
  onStart: () => void;
  onDrag: (by: number, free: boolean) => void;
  onRest: () => void;
  children: ReactNode;
}) {
  const from = useRef<number>(undefined);
  const moved = useRef(false);
  const end = () => {
    from.current = undefined;
    if (moved.current) onRest();
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the field that it labels takes the keys.
    <label
      htmlFor={htmlFor}
      className={`${stacked ? 'flex-1' : 'w-[86px] pt-[5px]'} shrink-0 text-quiet ${canStep ? 'cursor-ew-resize touch-none select-none' : ''}`}
      title={canStep ? `${says} Drag to change the number; with Alt it is drawn to nothing.` : says}
      onPointerDown={(event) => {
        if (!canStep) return;
        from.current = event.clientX;
        moved.current = false;
        event.currentTarget.setPointerCapture(event.pointerId);
        onStart();
      }}
      onPointerMove={(event) => {
        if (from.current === undefined) return;
        const by = event.clientX - from.current;
        moved.current ||= Math.abs(by) >= still;
        if (moved.current) onDrag(by, event.altKey);
      }}
      onPointerUp={end}
      onPointerCancel={end}
      // What was dragged was not pressed: the field does not take the keys.
      onClick={(event) => moved.current && event.preventDefault()}
    >
      {children}
    </label>
  );
}
