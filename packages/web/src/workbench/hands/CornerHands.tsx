/** The corner radius of the selected control, dragged where it bends, and the focus point of a picture. */
import {
  type Control,
  effectiveNames,
  entryOf,
  kindIn,
  locate,
  roundedBy,
  type ScreenBox,
  type ScreenLayout,
} from '@hovrin/core';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { Knob } from './Knob.tsx';

/** Room that a box has to have for the knob, CSS px. */
const leastRoom = 56;
/** How far from the corner the knob of a sharp one stands, CSS px. */
const inset = 12;

interface CornerHandsProps {
  readonly id: string;
  readonly box: ScreenBox;
  readonly layout: ScreenLayout;
  readonly scale: number;
}

export function CornerHands({ id, box, layout, scale }: CornerHandsProps) {
  const { project } = useEditorState('project');
  const found = locate(project, id);
  if (!found) return null;
  const { control, screen } = found;
  const name = entryOf(effectiveNames(screen), id);
  const has = (property: string) =>
    kindIn(project, control).properties.some((each) => each.name === property);
  const isRoomy = box.width >= leastRoom && box.height >= leastRoom;
  const hands = { control, name, box, layout, scale };
  return (
    <>
      {has('corner') && has('width') && isRoomy && isSeen(box) && <CornerHand {...hands} />}
      {has('focus') && box.box.content.type === 'picture' && <FocusHand {...hands} />}
    </>
  );
}

/** Whether the box itself is seen, not only what is in it: then its corners are. */
const isSeen = ({ look, box: { style, content } }: ScreenBox): boolean =>
  look.background !== undefined ||
  look.fill !== undefined ||
  look.corner !== undefined ||
  look.shadow !== undefined ||
  content.type === 'picture' ||
  Object.values(style.border).some((width) => width > 0);

interface HandProps extends Omit<CornerHandsProps, 'id'> {
  readonly control: Control;
  readonly name: string;
}

/** Stands on the diagonal of the upper corner at the end side, the farther in the rounder the corner is. */
function CornerHand({ control, name, box, layout, scale }: HandProps) {
  const { editor } = useWorkplace();
  const { step } = useEditorState('step');
  const { snapping } = useBenchView();
  const [first = [0, 0]] = roundedBy(box.look.corner, box.width, box.height);
  const radius = first[0];
  const side = layout.rightToLeft ? 'left' : 'right';
  const most = Math.min(box.width, box.height) / 2;
  // A sharp corner's knob stands at the inset, that of the roundest one as far in as it is round.
  const perPx = (most - inset) / most;
  const from = inset + Math.min(most, radius) * perPx;
  const edge = side === 'right' ? box.x + box.width : box.x;
  const at = { x: side === 'right' ? edge - from : edge + from, y: box.y + from };
  return (
    <Knob
      at={at}
      scale={scale}
      hand="corner"
      title={`Corner ${Math.round(radius)}: drag it rounder; Alt frees it from steps`}
      look="rounded-full bg-[#fffdf8]"
      onDrag={(point, free, run) => {
        const inward = (Math.abs(edge - point.x) + point.y - box.y) / 2;
        const asked = Math.max(0, Math.min(most, (inward - inset) / perPx));
        const unit = snapping !== free ? step : 1;
        const next = Math.round(asked / unit) * unit;
        editor.dispatch({
          label: `Corner of ${name}`,
          steps: [
            { type: 'set', control: control.id, property: 'corner', value: next === 0 ? null : String(next) },
          ],
          group: `corner ${run}`,
        });
        return `corner ${next}`;
      }}
    />
  );
}

function FocusHand({ control, name, box, scale }: HandProps) {
  const { editor } = useWorkplace();
  const { snapping } = useBenchView();
  const [across = 50, down = 50] = box.look.pictureFocus ?? [];
  const at = { x: box.x + (box.width * across) / 100, y: box.y + (box.height * down) / 100 };
  return (
    <Knob
      at={at}
      scale={scale}
      hand="focus"
      title={`Focus point ${across}% ${down}%: what stays in sight where the picture is cut off`}
      look="rounded-full bg-[#e0a11b]"
      onDrag={(point, free, run) => {
        const unit = snapping !== free ? 5 : 1;
        const part = (value: number) => Math.max(0, Math.min(100, Math.round((100 * value) / unit) * unit));
        const next = `${part((point.x - box.x) / box.width)}% ${part((point.y - box.y) / box.height)}%`;
        editor.dispatch({
          label: `Focus point of ${name}`,
          steps: [
            {
              type: 'set',
              control: control.id,
              property: 'focus',
              value: next === '50% 50%' ? null : next,
            },
          ],
          group: `focus ${run}`,
        });
        return next;
      }}
    />
  );
}
