/** The wall: every screen at every band on one page, to look at, to print, and to save as one picture. */
import {
  type Control,
  longTexts,
  messageOf,
  type Project,
  ScreenView,
  screensWith,
  type View,
} from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api } from '../api.ts';
import { download } from '../download.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { bandSizes } from '../parts/bandSizes.ts';
import { shownIn } from '../parts/LanguageChoice.tsx';
import { useEscape } from '../parts/useEscape.ts';
import { useGoTo } from '../parts/useGoTo.ts';
import { useRoom } from '../parts/useRoom.ts';
import { type ScreenSize, sizeWords } from '../sizes.ts';
import { PaintedPicture } from '../workbench/bays/PaintedPicture.tsx';
import { pngOf, svgOf } from '../workbench/bays/savePicture.ts';
import { type Hanging, onePicture, wallGap } from './onePicture.ts';
import { plainLook, WallHead, type WallLook } from './WallHead.tsx';

function hang(
  shaper: Shaper,
  project: Project,
  screen: Control,
  size: ScreenSize,
  look: Pick<View, 'mode' | 'rightToLeft'>,
): Hanging {
  const { width, height } = size;
  const layout = new ScreenView(shaper).layOut(project, screen, { width, height, ...look });
  return { size, layout, height: Math.max(height, layout.fullHeight) };
}

interface Row {
  readonly screen: Control;
  readonly hanging: readonly Hanging[];
}

/** The screens as they hang. @param component only those that it stands on; null: all. */
function useRows(
  { long, locale, mode }: WallLook,
  component: string | null,
  sizes: readonly ScreenSize[],
): readonly Row[] {
  const { shaper } = useWorkplace();
  const { project } = useEditorState('project');
  return useMemo(() => {
    const { project: translated, rightToLeft } = shownIn(project, locale);
    const shown = long ? longTexts(translated) : translated;
    const wanted =
      component === null ? undefined : new Set(screensWith(project, component).map(({ id }) => id));
    return shown.screens
      .filter(({ id }) => !wanted || wanted.has(id))
      .map((screen) => ({
        screen,
        hanging: sizes.map((size) => hang(shaper, shown, screen, size, { mode, rightToLeft })),
      }));
  }, [project, long, locale, mode, sizes, shaper, component]);
}

export function WallPlace() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const goTo = useGoTo();
  const [look, setLook] = useState<WallLook>(plainLook);
  const component = useSearchParams()[0].get('component');
  const sizes = useMemo(() => bandSizes(project), [project]);
  const rows = useRows(look, component, sizes);
  const { element, room } = useRoom<HTMLElement>({ width: 1200, height: 0 });
  const wide = sizes.reduce((sum, { width }) => sum + width, 0);
  const scale = Math.max(0.05, (room.width - wallGap * (sizes.length - 1)) / wide);
  const leave = useCallback(() => goTo(''), [goTo]);
  useEscape(true, leave);
  const save = async (kind: 'svg' | 'png'): Promise<void> => {
    try {
      const { svg, width, height } = await onePicture(
        rows.map(({ screen, hanging }) => ({ title: screen.name ?? 'screen', hanging })),
        (layout, shownHeight) =>
          svgOf(layout, shownHeight, (picture) => api.assetAddress(editor.projectId, picture)),
      );
      const file =
        kind === 'svg' ? new Blob([svg], { type: 'image/svg+xml' }) : await pngOf(svg, width, height, 0.5);
      download(`${project.name.replace(/[^\w-]+/g, '-').toLowerCase()}-wall.${kind}`, file);
    } catch (error) {
      editor.tell(`The picture could not be made: ${messageOf(error)}`);
    }
  };
  return (
    <div className="flex h-full flex-col bg-ground print:block print:h-auto print:bg-white">
      <WallHead
        {...{ project, component, look }}
        onLook={setLook}
        onSave={(kind) => void save(kind)}
        onLeave={leave}
      />
      <main ref={element} className="min-h-0 flex-1 overflow-auto px-5 py-4 print:overflow-visible">
        {rows.length === 0 && <p className="mt-16 text-center text-quiet">This project has no screens.</p>}
        {rows.map(({ screen, hanging }) => (
          <section key={screen.id} aria-label={screen.name} className="mb-7 break-inside-avoid">
            <h2 className="mb-2 text-[15px] font-semibold">
              <button
                type="button"
                className="rounded-sm hover:underline"
                title={`Build ${screen.name}`}
                onClick={() => {
                  editor.showScreen(screen.id);
                  leave();
                }}
              >
                {screen.name}
              </button>
            </h2>
            <div className="flex items-start" style={{ gap: wallGap }}>
              {hanging.map((each) => (
                <Hung key={each.size.label} {...each} name={screen.name ?? ''} scale={scale} />
              ))}
            </div>
          </section>
        ))}
      </main>
    </div>
  );
}

/** A screen at one size, as a picture. */
function Hung({ size, layout, height, name, scale }: Hanging & { name: string; scale: number }) {
  return (
    <figure className="m-0" style={{ width: size.width * scale }}>
      <figcaption className="mb-1 flex justify-between gap-2 text-[12px] whitespace-nowrap">
        <span className="font-medium">{size.label}</span>
        <span className="overflow-hidden text-quiet">{sizeWords(size)}</span>
      </figcaption>
      <PaintedPicture
        layout={layout}
        width={size.width}
        height={height}
        scale={scale}
        label={`${name} at ${sizeWords(size)}`}
        hanging={`${name} ${size.label}`}
      />
    </figure>
  );
}
