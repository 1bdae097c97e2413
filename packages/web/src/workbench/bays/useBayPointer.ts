/** What the pointer does on a bay: points at, selects, drags, drops files, asks what lies below. */
import { type Control, isInstance, locate, type ScreenLayout } from '@hovrin/core';
import { type DragEvent, type MouseEvent, type PointerEvent, useRef, useState } from 'react';
import {
  commandNamed,
  isLocked,
  leaveComponent,
  openComponent,
  placePictures,
  runCommand,
} from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { ScreenSize } from '../../sizes.ts';
import { useBenchView } from '../bench/benchView.ts';
import { type Drop, dropAt, type Point } from '../hands/drop.ts';
import { controlsAt, isOnSurround, meantAt } from '../hands/spot.ts';
import { useDragged } from '../hands/useDragged.ts';
import { wordsAt } from '../hands/wordsAt.ts';
import { upperBand } from '../scope.ts';
import { useMeasuring } from './useMeasuring.ts';

/** The bay, and the screen that is shown on it at a scale. */
export interface PointedBay {
  readonly id: string;
  readonly screen: Control;
  readonly layout: ScreenLayout;
  readonly size: ScreenSize;
  readonly scale: number;
  readonly working: boolean;
}

/** What lies under the pointer, the uppermost first, and where that was asked, px of the bay. */
export interface Under extends Point {
  readonly ids: readonly string[];
}

export function useBayPointer({ id, screen, layout, size, scale, working }: PointedBay) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [hovered, setHovered] = useState<string>();
  /** Where pictures from the computer would land. */
  const [files, setFiles] = useState<Drop>();
  const [under, setUnder] = useState<Under>();
  const { setWriting } = useBenchView();
  const { measuring, moved } = useMeasuring(working);
  const pressed = useRef<string | undefined>(undefined);
  const { setNodeRef, onPointerDown } = useDragged({
    id: `bay ${id}`,
    data: { from: 'bay', bay: id, pressed },
  });

  const pointOf = (event: MouseEvent): Point => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    return { x: (event.clientX - left) / scale, y: (event.clientY - top) / scale };
  };
  const at = (event: MouseEvent) => controlsAt(screen, layout, pointOf(event));
  const meant = (event: MouseEvent) =>
    meantAt(screen, layout, editor.state.selection, pointOf(event), event.ctrlKey || event.metaKey) ??
    screen.id;
  const dropOf = (event: DragEvent) => dropAt({ project, screen, layout }, pointOf(event));

  /** The instance at the pointer, where it is selected; the screen, where its surround is there. */
  const reusedAt = (event: MouseEvent): string | undefined => {
    const [chosen] = editor.state.selection;
    const instance = chosen === undefined ? undefined : locate(project, chosen)?.control;
    if (instance && isInstance(instance)) return instance.id;
    return chosen === screen.id && isOnSurround(screen, layout, pointOf(event)) ? screen.id : undefined;
  };
  /** Whether what is around a component is pressed, where that is edited in its place. */
  const isAround = (event: MouseEvent) => {
    const { selection, inPlace } = editor.state;
    return inPlace !== undefined && selection[0] === screen.id && at(event).length === 0;
  };

  const handlers = {
    onPointerDown: (event: PointerEvent) => {
      editor.editIn(working ? undefined : upperBand(project, size.width));
      // A drag takes along what is selected, where that is under the pointer.
      const here = at(event);
      pressed.current = editor.state.selection.find((each) => here.includes(each)) ?? meant(event);
      onPointerDown(event);
    },
    onPointerMove: (event: PointerEvent) =>
      setHovered(moved(event.altKey) ? (at(event)[0] ?? screen.id) : meant(event)),
    onPointerLeave: () => setHovered(undefined),
    onDragOver: (event: DragEvent) => {
      if (!event.dataTransfer.types.includes('Files')) return;
      event.preventDefault();
      setFiles(dropOf(event));
    },
    onDragLeave: () => setFiles(undefined),
    onDrop: (event: DragEvent) => {
      event.preventDefault();
      const found = dropOf(event);
      setFiles(undefined);
      const pictures = [...event.dataTransfer.files].filter(({ type }) => type.startsWith('image/'));
      if (pictures.length === 0) editor.tell('Only pictures can be dropped here.');
      else if (found) void placePictures(editor, pictures, found.place, found.props ?? {});
    },
    onClick: (event: MouseEvent) => {
      setUnder(undefined);
      const one = meant(event);
      const { selection } = editor.state;
      if (!event.shiftKey) editor.select([one]);
      else if (one !== screen.id)
        editor.select(
          selection.includes(one) ? selection.filter((each) => each !== one) : [...selection, one],
        );
    },
    onDoubleClick: (event: MouseEvent) => {
      // Presses that climb, or add to the selection, may follow each other fast.
      if (event.ctrlKey || event.metaKey || event.shiftKey) return;
      const reused = reusedAt(event);
      const words = working ? wordsAt(project, layout, pointOf(event)) : undefined;
      if (isAround(event)) leaveComponent(editor);
      else if (words && !isLocked(project, words.control)) {
        editor.select([words.control]);
        setWriting(words);
      } else if (reused === undefined || !openComponent(editor, reused))
        runCommand(editor, commandNamed('type-first'));
    },
    onContextMenu: (event: MouseEvent) => {
      event.preventDefault();
      const { x, y } = pointOf(event);
      setUnder({ x: x * scale, y: y * scale, ids: [...at(event), screen.id] });
    },
  };
  return { setNodeRef, handlers, hovered, measuring, files, under, closeUnder: () => setUnder(undefined) };
}
