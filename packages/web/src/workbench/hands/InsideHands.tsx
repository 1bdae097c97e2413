/**
 * Hands inside the selected control: its padding and margin at each side, the gaps between its children, and where two of
 * these share its room. Also between the selected control and its neighbours, where they share.
 */
import { type Control, locate, type ScreenBox, type ScreenLayout } from '@hovrin/core';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { HandWords } from './HandWords.tsx';
import { gapSteps, type InsideEdge, insideEdges, type Limit, sideSteps } from './insideEdges.ts';
import { pairOf, ratioFor, ratioWords, sharedAnew, shareSteps } from './keptUnits.ts';
import { useHand } from './useHand.ts';

interface InsideHandsProps {
  readonly id: string;
  readonly box: ScreenBox;
  readonly layout: ScreenLayout;
  readonly scale: number;
}

export function InsideHands({ id, box, layout, scale }: InsideHandsProps) {
  const { project } = useEditorState('project');
  const { handling } = useBenchView();
  const found = locate(project, id);
  if (!found) return null;
  const { control, parent } = found;
  const around = parent && layout.byControl.get(parent.id);
  const own = insideEdges(control, box, layout).map((edge) => ({ edge, of: control, box }));
  // Of the row or column that it stands in: where it shares with its neighbours.
  const beside =
    parent && around
      ? insideEdges(parent, around, layout)
          .filter(({ part, first }) => part === 'share' && touches(parent, first, id, layout))
          .map((edge) => ({ edge, of: parent, box: around }))
      : [];
  return [...own, ...beside].map(({ edge, of, box: its }) => (
    <EdgeHand
      key={`${of.id} ${edge.key}`}
      edge={edge}
      control={of}
      box={its}
      layout={layout}
      scale={scale}
      isFaint={handling}
    />
  ));
}

/** Whether a divider is at one of a control's sides. */
function touches(parent: Control, first: string | undefined, id: string, layout: ScreenLayout): boolean {
  const content = layout.byControl.get(parent.id)?.box.content;
  const side = content?.type === 'flex' && content.direction === 'row' ? 'width' : 'height';
  const control = parent.children.find((each) => each.id === first);
  const pair = control && pairOf(parent, control, layout, side);
  return pair !== undefined && (pair.first.control.id === id || pair.second.control.id === id);
}

interface EdgeHandProps {
  readonly edge: InsideEdge;
  readonly control: Control;
  readonly box: ScreenBox;
  readonly layout: ScreenLayout;
  readonly scale: number;
  /** Another hand is being moved. */
  readonly isFaint: boolean;
}

const looks: Readonly<Record<InsideEdge['part'], string>> = {
  padding: 'bg-[#2f5d50] border-[#fffdf8]',
  margin: 'bg-[#59625b] border-[#fffdf8]',
  gap: 'bg-[#fffdf8] border-[#2f5d50]',
  share: 'bg-[#e0a11b] border-[#1f2a24]',
  ratio: 'bg-[#e0a11b] border-[#1f2a24]',
  limit: 'bg-[#fffdf8] border-dashed border-[#1f2a24]',
};

/** What a limit keeps it from. */
const limitWords: Readonly<Record<Limit, string>> = {
  'min-width': 'Never narrower than',
  'max-width': 'Never wider than',
  'min-height': 'Never lower than',
  'max-height': 'Never higher than',
};

const titleOf = ({ part, side, value, limit }: InsideEdge): string =>
  limit
    ? `${limitWords[limit]} ${value}: drag; Alt frees it from steps`
    : part === 'ratio'
      ? 'Drag to divide the room between the panes; Alt frees it from small ratios'
      : part === 'share'
        ? 'Drag to share the room anew; Alt frees it from small ratios, Ctrl makes px of it'
        : part === 'gap'
          ? `Gap ${value}: drag it wider or narrower; Alt frees it from steps`
          : `${part === 'padding' ? 'Padding' : 'Margin'} ${side} ${value}: drag; Shift both sides, Ctrl all four, Alt frees it from steps`;

function EdgeHand({ edge, control, box, layout, scale, isFaint }: EdgeHandProps) {
  const { editor } = useWorkplace();
  const { step } = useEditorState('step');
  const { snapping } = useBenchView();
  const { handlers, words } = useHand({
    scale,
    onTake: () => ({ edge, control, box, layout }),
    onMove: (taken, by, { free, mod, shift, run }) => {
      const { edge: from } = taken;
      const asked = from.value + from.sign * (from.axis === 'x' ? by.x : by.y);
      const snaps = snapping !== free;
      const value = Math.max(
        from.part === 'margin' ? -2000 : 0,
        snaps ? Math.round(asked / step) * step : Math.round(asked),
      );
      const moved = movedTo(taken, { asked, value, snaps, mod, shift, scope: editor.state.scope });
      editor.dispatch({ label: moved.label, steps: moved.steps, group: `inside ${run}` });
      return moved.words;
    },
  });
  const isAcross = edge.axis === 'x';
  return (
    <>
      {edge.limit && (
        <div
          className={`absolute border-dashed border-[#1f2a24]/60 ${isAcross ? 'border-l' : 'border-t'}`}
          style={
            isAcross
              ? { left: edge.x * scale, top: box.y * scale, height: box.height * scale }
              : { top: edge.y * scale, left: box.x * scale, width: box.width * scale }
          }
        />
      )}
      <div
        className={`group pointer-events-auto absolute grid -translate-1/2 touch-none focus-visible:outline-2 focus-visible:outline-offset-2 focus-visible:outline-[#e0a11b] place-items-center ${isAcross ? 'h-7 w-3 cursor-ew-resize' : 'h-3 w-7 cursor-ns-resize'} ${isFaint && words === undefined ? 'opacity-0' : ''}`}
        style={{ left: edge.x * scale, top: edge.y * scale }}
        data-hand={edge.key}
        data-inside={edge.part}
        role="slider"
        aria-label={titleOf(edge)}
        aria-valuenow={Math.round(edge.value)}
        tabIndex={-1}
        title={titleOf(edge)}
        {...handlers}
      >
        <span
          className={`border ${looks[edge.part]} group-hover:bg-[#e0a11b] ${isAcross ? 'h-5 w-[5px]' : 'h-[5px] w-5'}`}
        />
        <HandWords words={words} className="top-full left-full" />
      </div>
    </>
  );
}

type Taken = Pick<EdgeHandProps, 'edge' | 'control' | 'box' | 'layout'>;

interface Asked {
  /** CSS px, as dragged and as rounded. */
  readonly asked: number;
  readonly value: number;
  readonly snaps: boolean;
  readonly mod: boolean;
  readonly shift: boolean;
  readonly scope: string;
}

/** The panes of a split, divided anew; the first is the one that the document names first. */
function dividedTo({ edge, control, layout }: Taken, to: Asked) {
  const [one, other] = control.children.map(({ id }) => layout.byControl.get(id)?.width ?? 0);
  const room = (one ?? 0) + (other ?? 0);
  const isFirst = control.children[0]?.id === edge.first;
  const asked = isFirst ? to.asked : room - to.asked;
  const total = to.snaps ? 2 : 100;
  const { first, second } = ratioFor({ room, total, isAlone: true }, asked, to.snaps);
  const text = `${first}/${second}`;
  return {
    label: `Ratio of ${control.name ?? control.kind}`,
    steps: [{ type: 'set' as const, control: control.id, property: 'ratio', value: text }],
    words: text,
  };
}

/** What becomes of the control, in steps and in words. */
function movedTo(taken: Taken, to: Asked) {
  const { edge, control, box, layout } = taken;
  const name = control.name ?? control.kind;
  if (edge.part === 'share') {
    const side = edge.axis === 'x' ? ('width' as const) : ('height' as const);
    const first = control.children.find(({ id }) => id === edge.first);
    const pair = first && pairOf(control, first, layout, side);
    const label = `Share the room of ${name}`;
    if (!first || !pair) return { label, steps: [], words: '' };
    if (to.mod) {
      const value = String(Math.max(0, to.value));
      return {
        label,
        steps: [{ type: 'set' as const, control: first.id, property: side, value }],
        words: value,
      };
    }
    const shares = sharedAnew(pair, side, to.asked, to.snaps);
    return { label, steps: shareSteps(pair, side, shares), words: ratioWords(shares) };
  }
  if (edge.part === 'ratio') return dividedTo(taken, to);
  if (edge.limit)
    return {
      label: `${limitWords[edge.limit]}, ${name}`,
      steps: [{ type: 'set' as const, control: control.id, property: edge.limit, value: String(to.value) }],
      words: `${edge.limit} ${to.value}`,
    };
  const words = `${edge.part} ${to.value}`;
  if (edge.part === 'gap')
    return { label: `Gap of ${name}`, steps: gapSteps(control, edge.axis, to.value, to.scope), words };
  if (edge.part !== 'padding' && edge.part !== 'margin') return { label: name, steps: [], words: '' };
  const reach = to.mod ? 'all' : to.shift ? 'both' : 'one';
  return {
    label: `${edge.part === 'padding' ? 'Padding' : 'Margin'} of ${name}`,
    steps: sideSteps(
      control,
      box,
      edge.part,
      { side: edge.side ?? 'top', value: to.value, reach },
      { scope: to.scope, rightToLeft: layout.rightToLeft },
    ),
    words: reach === 'one' ? words : `${words}, ${reach === 'all' ? 'all sides' : 'both sides'}`,
  };
}
