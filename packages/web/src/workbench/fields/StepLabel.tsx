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
  canStep,
  onStart,
  onDrag,
  onRest,
  children,
}: {
  htmlFor: string;
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
      className={`w-[86px] shrink-0 pt-[5px] text-quiet ${canStep ? 'cursor-ew-resize touch-none select-none' : ''}`}
      title={canStep ? 'Drag to change the number; with Alt it is drawn to nothing' : undefined}
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
