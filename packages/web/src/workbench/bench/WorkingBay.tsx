/** The bay in the middle, on which one works, with its size above it and edges to drag. */

import { type Control, ScreenView, sampleWords, treeOfId } from '@hovrin/core';
import { X } from 'lucide-react';
import { type PointerEvent, useEffect, useRef, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { greatestSize, leastSize, type ScreenSize } from '../../sizes.ts';
import { Bay } from '../bays/Bay.tsx';
import { PictureMenu } from '../bays/PictureMenu.tsx';
import { ScopeSwitch } from '../ScopeSwitch.tsx';
import { bandAt } from '../scope.ts';
import { useBenchView } from './benchView.ts';
import { placedIn, useShownLayout, useShownProject } from './useShownLayout.ts';

export function WorkingHeader({
  size,
  scale,
  onResize,
}: {
  size: ScreenSize;
  scale: number;
  onResize: (size: Partial<ScreenSize>) => void;
}) {
  const { project } = useEditorState('project');
  return (
    <div className="flex h-7 items-center gap-2">
      <span className="font-semibold">{bandAt(project, size.width)?.label ?? size.label}</span>
      <SizeField
        label="Width of the working bay"
        value={size.width}
        onValue={(width) => onResize({ width })}
      />
      <span className="text-quiet">×</span>
      <SizeField
        label="Height of the working bay"
        value={size.height}
        onValue={(height) => onResize({ height })}
      />
      <span className="text-quiet">px</span>
      {size.sample && (
        <button
          type="button"
          className="btn !h-6 min-w-0 text-[12px]"
          title="This bay has rows and feeds of its own; press to have those of the bench"
          onClick={() => onResize({ sample: undefined })}
        >
          <span className="truncate">{sampleWords[size.sample]}</span>{' '}
          <X size={12} className="shrink-0" aria-hidden />
        </button>
      )}
      <ScopeSwitch size={size} />
      <span className="ml-auto shrink-0 text-[12px] text-quiet">{Math.round(scale * 100)} %</span>
      <span className="pr-2">
        <PictureMenu size={size} />
      </span>
    </div>
  );
}

function SizeField({
  label,
  value,
  onValue,
}: {
  label: string;
  value: number;
  onValue: (value: number) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const number = Number(typed);
  const bad = typed !== undefined && !(number >= leastSize && number <= greatestSize);
  const commit = () => {
    if (typed !== undefined && !bad) onValue(number);
    setTyped(undefined);
  };
  return (
    <input
      className="field !w-14 shrink-0 !px-1.5 text-right"
      inputMode="numeric"
      aria-label={label}
      aria-invalid={bad}
      title={bad ? `From ${leastSize} to ${greatestSize}` : label}
      value={typed ?? String(value)}
      onChange={(event) => {
        setTyped(event.target.value);
        const next = Number(event.target.value);
        if (next >= leastSize && next <= greatestSize) onValue(next);
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
          event.preventDefault();
          setTyped(undefined);
          onValue(value + (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
        }
      }}
    />
  );
}

export function WorkingBay({
  screen,
  size,
  scale,
  onResize,
}: {
  screen: Control;
  size: ScreenSize;
  scale: number;
  onResize: (size: Partial<ScreenSize>) => void;
}) {
  const { layout, faint, drawn } = useShownLayout(useShownProject(), screen, size);
  const { editor, shaper } = useWorkplace();
  const { inPlace } = useEditorState('inPlace');
  const other = useRef<ScreenView>(undefined);
  const { preview } = useBenchView();
  // Commands go by the screen as it is, not as it would be while something is only pointed at.
  const own = useRef(layout);
  if (!preview) own.current = layout;
  const settled = own.current;
  const { width, height: viewHeight, safe, hinge } = size;
  useEffect(() => {
    editor.bench = {
      layout: settled,
      drawn,
      layOut: (project) => {
        other.current ??= new ScreenView(shaper);
        const shown = treeOfId(project, inPlace?.tree ?? screen.id) ?? screen;
        const laid = other.current.layOut(project, shown, { width, height: viewHeight, safe, hinge });
        return placedIn(laid, screen.id, inPlace);
      },
    };
    return () => {
      editor.bench = undefined;
    };
  }, [editor, shaper, settled, drawn, screen, inPlace, width, viewHeight, safe, hinge]);
  const height = Math.max(layout.fullHeight, size.height);
  return (
    <div className="relative shrink-0" style={{ width: size.width * scale, height: height * scale }}>
      <div className="outline outline-rule">
        <Bay id="working" screen={screen} layout={layout} size={size} scale={scale} working faint={faint} />
      </div>
      <Edge axis="width" size={size} scale={scale} onResize={onResize} />
      <Edge axis="height" size={size} scale={scale} onResize={onResize} />
    </div>
  );
}

/** An edge of the working bay, to drag it wider or higher. */
function Edge({
  axis,
  size,
  scale,
  onResize,
}: {
  axis: 'width' | 'height';
  size: ScreenSize;
  scale: number;
  onResize: (size: Partial<ScreenSize>) => void;
}) {
  const from = useRef<{ at: number; value: number }>(undefined);
  const at = (event: PointerEvent) => (axis === 'width' ? event.clientX : event.clientY);
  const place =
    axis === 'width'
      ? { left: size.width * scale, top: 0, width: 12, height: size.height * scale }
      : { left: 0, top: size.height * scale, width: size.width * scale, height: 12 };
  return (
    <div
      className={`group absolute z-10 grid touch-none place-items-center ${axis === 'width' ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      style={place}
      data-edge={axis}
      title={axis === 'width' ? 'Drag to change the width' : 'Drag to change the height'}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { at: at(event), value: size[axis] };
      }}
      onPointerMove={(event) =>
        from.current && onResize({ [axis]: from.current.value + (at(event) - from.current.at) / scale })
      }
      onPointerUp={() => {
        from.current = undefined;
      }}
    >
      <span
        className={`rounded-sm bg-quiet/40 group-hover:bg-spruce ${axis === 'width' ? 'h-10 w-1' : 'h-1 w-10'}`}
      />
    </div>
  );
}
