/** Ways: the screens of the application, and how one gets from one to another. */
import { messageOf, type Way } from '@hovrin/core';
import { Camera, LayoutTemplate, Printer } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { api } from '../api.ts';
import { download } from '../download.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useHeld } from '../editor/held.ts';
import { useCommandKeys } from '../editor/keys.ts';
import { PlaceHeader } from '../PlaceHeader.tsx';
import { bandSizes } from '../parts/bandSizes.ts';
import { Menu } from '../parts/Menu.tsx';
import { SizeField } from '../parts/SizeField.tsx';
import type { ScreenSize } from '../sizes.ts';
import { pngOf, svgOf } from '../workbench/bays/savePicture.ts';
import { Folders } from './Folders.tsx';
import { arrowsOf, extentOf, foldersOn, type MapModel, mapOf } from './mapModel.ts';
import { mapPicture } from './mapPicture.ts';
import { Overview } from './Overview.tsx';
import { printPicture } from './printPicture.ts';
import { ScreenDetails } from './ScreenDetails.tsx';
import { useChosen } from './useChosen.ts';
import { useScreenLayouts } from './useScreenLayouts.ts';
import { WayDetails } from './WayDetails.tsx';
import { WaysMap } from './WaysMap.tsx';
import { wayKey } from './words.ts';

export function WaysPlace() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  useCommandKeys(editor);
  const sizes = useMemo(() => bandSizes(project), [project]);
  const [label, setLabel] = useHeld<string | undefined>('ways-size', undefined);
  const [places, setPlaces] = useHeld('ways-places', false);
  const { chosen, choose, chooseWay, go, back } = useChosen();
  const size = sizes.find((each) => each.label === label) ?? sizes[0];
  const layouts = useScreenLayouts(project, size ?? { label: '', width: 390, height: 844 });
  const model = useMemo(
    () => mapOf(project, size ?? { label: '', width: 390, height: 844 }),
    [project, size],
  );
  const from = chosen.screen;
  const isShown = useCallback(
    (way: Way) =>
      (!way.isAround && way.by !== 'place') || (places && (from === undefined || way.from === from)),
    [places, from],
  );
  const way = model.ways.find((each) => wayKey(each) === chosen.way);
  const card = model.cards.find(({ name }) => name === chosen.screen);
  return (
    <>
      <PlaceHeader title="Ways">
        <MapChoices sizes={sizes} size={size} places={places} onLabel={setLabel} onPlaces={setPlaces} />
        <MapMenu model={model} isShown={isShown} layouts={layouts} />
      </PlaceHeader>
      <main className="flex min-h-0 flex-1">
        <Folders project={project} cards={model.cards} chosen={chosen.screen} onChoose={choose} />
        {project.screens.length === 0 ? (
          <p className="m-auto max-w-sm p-6 text-center text-quiet">
            There are no screens yet. Add some in Build: here one sees how people get from one to another.
          </p>
        ) : (
          <WaysMap
            project={project}
            model={model}
            layouts={layouts}
            isShown={isShown}
            screen={way ? undefined : card?.name}
            way={way && wayKey(way)}
            onScreen={choose}
            onWay={chooseWay}
          />
        )}
        <aside
          aria-label="Chosen"
          data-region="chosen"
          className="w-80 shrink-0 overflow-y-auto border-l border-rule bg-ground p-4"
        >
          {way && size ? (
            <WayDetails
              project={project}
              way={way}
              layouts={layouts}
              size={size}
              onGo={(screen) => go(screen, way.from)}
              onGone={() => chooseWay(undefined)}
            />
          ) : card ? (
            <ScreenDetails
              project={project}
              card={card}
              ways={model.ways}
              trail={chosen.trail}
              onGo={go}
              onBack={back}
              onWay={chooseWay}
            />
          ) : (
            <Overview model={model} onScreen={choose} onWay={chooseWay} />
          )}
        </aside>
      </main>
    </>
  );
}

interface MapChoicesProps {
  readonly sizes: readonly ScreenSize[];
  readonly size: ScreenSize | undefined;
  readonly places: boolean;
  readonly onLabel: (label: string) => void;
  readonly onPlaces: (places: boolean) => void;
}

/** Choices of the map: the size of its pictures, and whether ways of navigations are drawn. */
const MapChoices = ({ sizes, size, places, onLabel, onPlaces }: MapChoicesProps) => (
  <>
    <SizeField sizes={sizes} size={size} words="At" label="Size of the pictures" onSize={onLabel} />
    <label className="flex items-center gap-1.5">
      <input
        type="checkbox"
        className="accent-spruce"
        checked={places}
        onChange={({ target }) => onPlaces(target.checked)}
      />
      Navigations
    </label>
  </>
);

interface MapMenuProps {
  readonly model: MapModel;
  readonly isShown: (way: Way) => boolean;
  readonly layouts: Parameters<typeof arrowsOf>[1];
}

/** Buttons for the whole map: arranged anew, saved as a picture, printed. */
function MapMenu({ model, isShown, layouts }: MapMenuProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [isBusy, setBusy] = useState(false);
  const picture = () =>
    mapPicture(
      {
        model,
        layouts,
        folders: foldersOn(model, project),
        arrows: arrowsOf(model, layouts, isShown),
        extent: extentOf(model),
      },
      (layout, height) => svgOf(layout, height, (name) => api.assetAddress(editor.projectId, name)),
    );
  const doing = async (work: () => Promise<void>) => {
    setBusy(true);
    try {
      await work();
    } catch (error) {
      editor.tell(`The picture could not be made: ${messageOf(error)}`);
    }
    setBusy(false);
  };
  const save = (kind: 'svg' | 'png') =>
    doing(async () => {
      const { svg, width, height } = await picture();
      const file =
        kind === 'svg' ? new Blob([svg], { type: 'image/svg+xml' }) : await pngOf(svg, width, height, 2);
      download(`${project.name.replace(/[^\w-]+/g, '-').toLowerCase()}-ways.${kind}`, file);
    });
  const moved = project.map ?? [];
  return (
    <>
      <button
        type="button"
        className="btn"
        disabled={moved.length === 0}
        title="Screens that were moved go where the arrangement puts them"
        onClick={() =>
          editor.dispatch({
            label: 'Arrange the map',
            steps: moved.map(({ screen }) => ({ type: 'drop', of: 'map', key: screen })),
          })
        }
      >
        <LayoutTemplate size={14} aria-hidden /> Arrange
      </button>
      <Menu
        label="Picture of the map"
        button={
          <button type="button" className="btn" disabled={isBusy}>
            <Camera size={14} aria-hidden /> {isBusy ? 'Drawing …' : 'Picture'}
          </button>
        }
        entries={[
          { label: 'PNG', onSelect: () => void save('png') },
          { label: 'SVG', onSelect: () => void save('svg') },
        ]}
      />
      <button
        type="button"
        className="btn"
        disabled={isBusy}
        title="Print the map on one page, or save it as PDF"
        onClick={() => void doing(async () => printPicture((await picture()).svg, `Ways of ${project.name}`))}
      >
        <Printer size={14} aria-hidden /> Print or PDF
      </button>
    </>
  );
}
