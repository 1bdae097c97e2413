/** A component as a small live picture, with samples: it is drawn as soon as it comes into sight. */
import { definitionOf, type Project, ScreenView } from '@hovrin/core';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { PartPicture } from './bench/PartPicture.tsx';

/** The room that components are laid out in for their pictures, CSS px. */
const room = { width: 220, height: 200 };

interface ComponentPictureProps {
  readonly name: string;
  /** It is drawn no wider and no higher, px of the window. */
  readonly width: number;
  readonly height: number;
}

export function ComponentPicture({ name, width, height }: ComponentPictureProps) {
  const frame = useRef<HTMLSpanElement>(null);
  const [isSeen, setSeen] = useState(false);
  useEffect(() => {
    if (!frame.current) return;
    const watch = new IntersectionObserver((entries) => {
      if (!entries.some(({ isIntersecting }) => isIntersecting)) return;
      setSeen(true);
      watch.disconnect();
    });
    watch.observe(frame.current);
    return () => watch.disconnect();
  }, []);
  const { project } = useEditorState('project');
  return (
    <span
      ref={frame}
      aria-hidden="true"
      className="pointer-events-none grid place-items-center overflow-hidden"
      style={{ width, height }}
    >
      {isSeen && <Drawn project={project} name={name} width={width} height={height} />}
    </span>
  );
}

function Drawn({ project: newest, name, width, height }: ComponentPictureProps & { project: Project }) {
  const { shaper } = useWorkplace();
  const [view] = useState(() => new ScreenView(shaper));
  // What one works on comes first.
  const project = useDeferredValue(newest);
  const component = project.components?.find((each) => each.name === name);
  const layout = useMemo(
    () => component && view.layOut(project, component, room),
    [view, project, component],
  );
  const root = component && definitionOf(component).root;
  if (!layout || !root) return null;
  return <PartPicture layout={layout} control={root.id} width={width} highest={height} around={0} />;
}
