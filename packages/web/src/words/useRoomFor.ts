/** The room of the chosen text, measured once one has stayed with it for a moment. */
import { type Room, roomFor, ScreenView, type StandingWords } from '@hovrin/core';
import { useEffect, useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { shownIn } from '../parts/LanguageChoice.tsx';

/** The narrowest screen that texts are to fit on, CSS px (WCAG 2.2, 1.4.10 Reflow). */
const narrowest = { width: 320, height: 720 };

/** Milliseconds that one stays with a text before its room is worked out. */
const rest = 250;

/** Widths in CSS px, each with the room that the text has there. */
export type Rooms = readonly (readonly [width: number, room: Room])[];

/** @param size what is looked at besides the narrowest screen. @returns undefined as long as it is not known. */
export function useRoomFor(
  place: StandingWords | undefined,
  tag: string | undefined,
  size: { readonly width: number; readonly height: number } | undefined,
): Rooms | undefined {
  const { shaper } = useWorkplace();
  const { project } = useEditorState('project');
  const [rooms, setRooms] = useState<{ readonly key: string; readonly rooms: Rooms }>();
  const key = place && size ? `${place.key} ${place.text} ${tag} ${size.width}` : '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says what is looked at.
  useEffect(() => {
    if (!place || !size) return;
    const timer = setTimeout(() => {
      const { project: shown, rightToLeft } = shownIn(project, tag ?? '');
      const view = new ScreenView(shaper);
      const sizes = [narrowest, ...(size.width === narrowest.width ? [] : [size])];
      setRooms({
        key,
        rooms: sizes.map(({ width, height }) => [
          width,
          roomFor(view, shown, place, { width, height, rightToLeft }),
        ]),
      });
    }, rest);
    return () => clearTimeout(timer);
  }, [key, project]);
  return rooms?.key === key ? rooms.rooms : undefined;
}
