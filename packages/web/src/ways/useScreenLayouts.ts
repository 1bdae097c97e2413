/** Screens laid out for the map, a few at a time, so that many of them keep nobody waiting. */
import { type Control, type Project, type ScreenLayout, ScreenView } from '@hovrin/core';
import { useEffect, useRef, useState } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import type { ScreenSize } from '../sizes.ts';

/** Milliseconds of laying out before the browser has its turn. */
const slice = 12;

interface Made {
  readonly project: Project;
  readonly size: ScreenSize;
  readonly layout: ScreenLayout;
}

/** @returns the layouts by the screens' names, as far as they are made; the older one stands until the newer one is. */
export function useScreenLayouts(project: Project, size: ScreenSize): ReadonlyMap<string, ScreenLayout> {
  const { shaper } = useWorkplace();
  const views = useRef(new Map<string, ScreenView>());
  const made = useRef(new Map<string, Made>());
  const [layouts, setLayouts] = useState<ReadonlyMap<string, ScreenLayout>>(new Map());
  useEffect(() => {
    const waiting = project.screens.filter(({ id }) => {
      const known = made.current.get(id);
      return known?.project !== project || known.size !== size;
    });
    let timer: ReturnType<typeof setTimeout>;
    const viewOf = ({ id }: Control) => {
      const known = views.current.get(id) ?? new ScreenView(shaper);
      views.current.set(id, known);
      return known;
    };
    const go = () => {
      const until = performance.now() + slice;
      do {
        const screen = waiting.shift();
        if (!screen) break;
        const layout = viewOf(screen).layOut(project, screen, { width: size.width, height: size.height });
        made.current.set(screen.id, { project, size, layout });
      } while (performance.now() < until);
      setLayouts(
        new Map(
          project.screens.flatMap(({ id, name = '' }) => {
            const known = made.current.get(id);
            return known?.size === size ? [[name, known.layout] as const] : [];
          }),
        ),
      );
      if (waiting.length > 0) timer = setTimeout(go);
    };
    go();
    return () => clearTimeout(timer);
  }, [project, size, shaper]);
  return layouts;
}
