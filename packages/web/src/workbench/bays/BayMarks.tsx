/** What is drawn over the screen of a bay: selection, names, grips, where something would land. */
import { effectiveNames, entryOf, locate, type ScreenBox } from '@hovrin/core';
import { isLocked } from '../../editor/commands/index.ts';
import { useEditorState } from '../../editor/context.tsx';
import { placeWords } from '../../editor/places.ts';
import { usePainted } from '../../parts/usePainted.ts';
import { useBays } from '../bench/bays.ts';
import { useBenchView } from '../bench/benchView.ts';
import { AddButtons } from '../hands/AddButtons.tsx';
import { CornerHands } from '../hands/CornerHands.tsx';
import { DrawLayer } from '../hands/DrawLayer.tsx';
import { InsideHands } from '../hands/InsideHands.tsx';
import { LookHands } from '../hands/LookHands.tsx';
import { PinHands } from '../hands/PinHands.tsx';
import { ResizeGrips } from '../hands/ResizeGrips.tsx';
import { SizeSigns } from '../hands/SizeSigns.tsx';
import { isGridBox, TrackHands, TrackLines } from '../hands/TrackHands.tsx';
import { WordsInPlace } from '../hands/WordsInPlace.tsx';
import { useShownSelection } from '../useShownSelection.ts';
import { Anatomy } from './Anatomy.tsx';
import { Around } from './Around.tsx';
import type { BayProps } from './Bay.tsx';
import { Covered } from './Covered.tsx';
import type { Window } from './cut.ts';
import { DropLine } from './DropLine.tsx';
import { EmptyBoxes } from './EmptyBoxes.tsx';
import { FirstControl } from './FirstControl.tsx';
import { FocusLayer } from './FocusLayer.tsx';
import { Measured } from './Measured.tsx';
import { Fold, Frame, Hover, SelectionMarks } from './marks.tsx';
import { ScrollSigns } from './ScrollSigns.tsx';
import { UnderPointer } from './UnderPointer.tsx';
import type { useBayPointer } from './useBayPointer.ts';

interface BayMarksProps extends BayProps {
  /** Of the screen, CSS px. */
  readonly pointer: ReturnType<typeof useBayPointer>;
  /** Where each box can be seen. */
  readonly windows: readonly (Window | undefined)[];
}

export function BayMarks(props: BayMarksProps) {
  const { id, screen, layout, windows, size, scale, working, pointer } = props;
  const { project } = useShownSelection(working);
  const bays = useBays();
  const { focusShown } = useBenchView();
  const names = effectiveNames(screen);
  const drop = bays.drop?.bay === id ? bays.drop.drop : undefined;
  return (
    <>
      <Covered size={size} scale={scale} />
      <Around layout={layout} windows={windows} scale={scale} />
      <ScrollSigns layout={layout} scale={scale} />
      {layout.fullHeight > size.height + 0.5 && (
        <Fold at={size.height * scale} height={size.height} words={working} />
      )}
      {working && !bays.drop && (
        <EmptyBoxes screen={screen} layout={layout} scale={scale} nameOf={(each) => names.get(each) ?? ''} />
      )}
      <Outlines {...props} />
      <Selection {...props} />
      {bays.lasso?.bay === id && (
        <Frame box={bays.lasso.area} scale={scale} className="border border-[#1f2a24] bg-[#1f2a24]/5" />
      )}
      {pointer.under && (
        <UnderPointer
          {...pointer.under}
          nameOf={(each) => names.get(each) ?? ''}
          onClose={pointer.closeUnder}
        />
      )}
      {working && screen.children.length === 0 && !bays.drop && <FirstControl screen={screen} />}
      {working && focusShown && <FocusLayer screen={screen} layout={layout} scale={scale} />}
      {working && <WordsInPlace layout={layout} scale={scale} />}
      {working && <DrawLayer screen={screen} layout={layout} scale={scale} />}
      {pointer.files && (
        <DropLine drop={pointer.files} scale={scale} words={placeWords(project, pointer.files.place)} />
      )}
      {drop && <DropLine drop={drop} scale={scale} words={bays.drop?.words ?? ''} />}
    </>
  );
}

/** Frames around controls that are not selected: hidden ones, all of them, the one pointed at, the one that is lit. */
function Outlines({ screen, layout, scale, working, faint, pointer: { hovered } }: BayMarksProps) {
  const { selection } = useShownSelection(working);
  const bays = useBays();
  const { lit, seeing } = useBenchView();
  const names = effectiveNames(screen);
  const litBox = lit === undefined ? undefined : layout.byControl.get(lit);
  return (
    <>
      {faint.map((each) => {
        const box = layout.byControl.get(each);
        return box && <Frame key={each} box={box} scale={scale} className="bg-white/65" hiddenOne />;
      })}
      {seeing.outlines === 'all' &&
        layout.boxes.map(
          (box) =>
            box.control !== undefined && (
              <Frame
                key={`${box.control} ${box.items.join()}`}
                box={box}
                scale={scale}
                className="border border-dotted border-[#2f5d50]/60"
                words={working && seeing.names ? names.get(box.control) : undefined}
              />
            ),
        )}
      {hovered !== undefined && hovered !== selection[0] && !bays.drop && (
        <Hover layout={layout} id={hovered} name={names.get(hovered) ?? ''} scale={scale} />
      )}
      {litBox && (
        <Frame
          lit={names.get(lit ?? '')}
          box={litBox}
          scale={scale}
          className="bg-[#e0a11b]/25 outline-2 outline-[#b87d0c]"
        />
      )}
    </>
  );
}

/** Marks of all that is selected, and what can be done with the one control that is. */
function Selection(props: BayMarksProps) {
  const { screen, layout, scale, working, pointer } = props;
  const { selection } = useShownSelection(working);
  const { seeing, handling, writing } = useBenchView();
  const names = effectiveNames(screen);
  const [first] = selection;
  // What is selected is marked at once; what it is taken hold of by follows in the frame after.
  const held = usePainted(selection.length === 1 ? first : undefined);
  const heldBox = held === undefined ? undefined : layout.byControl.get(held);
  const box = first === undefined ? undefined : layout.byControl.get(first);
  const hoveredBox =
    pointer.hovered === undefined || pointer.hovered === first
      ? undefined
      : layout.byControl.get(pointer.hovered);
  return (
    <>
      {seeing.outlines !== 'off' && box && <Anatomy box={box} layout={layout} scale={scale} />}
      {selection.map((each, index) => {
        const marked = layout.byControl.get(each);
        return (
          marked && (
            <SelectionMarks
              // The first of the selection is the first again when another is selected: its marks only move.
              // biome-ignore lint/suspicious/noArrayIndexKey: marks hold nothing of their own.
              key={index}
              box={marked}
              name={names.get(each) ?? ''}
              scale={scale}
              room={layout.width * scale}
              small={!working || index > 0 || handling || writing !== undefined}
            >
              {held !== undefined && heldBox && held !== screen.id && index === 0 && (
                <SizeSigns id={held} box={heldBox} layout={layout} />
              )}
            </SelectionMarks>
          )
        );
      })}
      {working && held !== undefined && heldBox && <Hands {...props} id={held} box={heldBox} />}
      {pointer.measuring && box && hoveredBox && <Measured one={box} other={hoveredBox} scale={scale} />}
    </>
  );
}

/** Tracks of the selected grid to be dragged; of the grid that the selection stands in, to be seen. */
function GridHands({
  id,
  box,
  layout,
  scale,
}: Pick<BayMarksProps, 'id' | 'layout' | 'scale'> & { box: ScreenBox }) {
  const { project } = useEditorState('project');
  const found = locate(project, id);
  if (!found) return null;
  const { control, parent, screen } = found;
  const around = parent && layout.byControl.get(parent.id);
  const isGrid = isGridBox(box);
  if (isGrid && isLocked(project, id)) return <TrackLines box={box} layout={layout} scale={scale} />;
  return (
    <>
      {around && isGridBox(around) && <TrackLines box={around} layout={layout} scale={scale} />}
      {isGrid && (
        <TrackHands
          grid={control}
          name={entryOf(effectiveNames(screen), id)}
          box={box}
          layout={layout}
          scale={scale}
        />
      )}
    </>
  );
}

/** Grips and buttons of the one control that is selected. */
function Hands({ id, box, screen, layout, scale, working }: BayMarksProps & { box: ScreenBox }) {
  const { project } = useShownSelection(working);
  const bays = useBays();
  const { handling, writing } = useBenchView();
  if (bays.drop || writing) return null;
  return (
    <>
      <GridHands id={id} box={box} layout={layout} scale={scale} />
      {!isLocked(project, id) && <InsideHands id={id} box={box} layout={layout} scale={scale} />}
      {id !== screen.id && !isLocked(project, id) && (
        <>
          <ResizeGrips id={id} box={box} layout={layout} scale={scale} />
          <LookHands id={id} box={box} scale={scale} />
          <CornerHands id={id} box={box} layout={layout} scale={scale} />
          <PinHands id={id} box={box} layout={layout} scale={scale} />
        </>
      )}
      {!handling && <AddButtons rightToLeft={layout.rightToLeft} id={id} box={box} scale={scale} />}
    </>
  );
}
