/**
 * Containers with nothing in them are seen and pressed on the bench though they may have no size: a dashed frame of 48 px at
 * least, with their name. The layout is as it is; a part is added there by the + of what is selected.
 */
import { type Control, kindOf, type ScreenLayout, takesInside, walk } from '@hovrin/core';
import { useMemo } from 'react';
import { useWorkplace } from '../../editor/context.tsx';

/** How large an empty container is drawn at least, px of the window. */
const least = 48;

/** The containers of a screen that hold nothing and are smaller than they are drawn. */
function emptyIn(screen: Control, layout: ScreenLayout, scale: number) {
  return [...walk(screen)].flatMap((control) => {
    const box = layout.byControl.get(control.id);
    const isEmpty = control.children.length === 0 && takesInside(control) && control.id !== screen.id;
    if (!box || !isEmpty || kindOf(control).group !== 'arrange') return [];
    const [width, height] = [Math.max(least, box.width * scale), Math.max(least, box.height * scale)];
    const isSmall = width > box.width * scale || height > box.height * scale;
    return isSmall ? [{ control, left: box.x * scale, top: box.y * scale, width, height }] : [];
  });
}

export function EmptyBoxes({
  screen,
  layout,
  scale,
  nameOf,
}: {
  screen: Control;
  layout: ScreenLayout;
  scale: number;
  nameOf: (id: string) => string;
}) {
  const { editor } = useWorkplace();
  const empty = useMemo(() => emptyIn(screen, layout, scale), [screen, layout, scale]);
  return empty.map(({ control, ...place }) => (
    <button
      key={control.id}
      type="button"
      tabIndex={-1}
      className="pointer-events-auto absolute overflow-hidden border border-dashed border-[#59625b] bg-[#59625b]/5 px-1 text-left text-[11px] leading-4 whitespace-nowrap text-[#59625b] hover:bg-[#e0a11b]/15"
      style={place}
      title={`${kindOf(control).label} ${nameOf(control.id)} is empty: press it, then + adds to it`}
      onClick={(event) => {
        event.stopPropagation();
        editor.select([control.id]);
      }}
    >
      {nameOf(control.id)}, empty
    </button>
  ));
}
