/** What lies behind what is painted: the colours against which words, edges and icons stand out. */
import type { ScreenBox, ScreenLayout } from '../layout/screen-layout.ts';
import { over } from '../tokens/srgb.ts';
import { fillColours, fillLayers } from '../values/fills.ts';

/** Opaque colours, of a gradient several; undefined where a picture lies there, of which nothing is known. */
export type Grounds = readonly string[] | undefined;

/** A box of a layout with what lies behind it. */
export interface Grounded {
  readonly box: ScreenBox;
  /** Id of the control that it is, or is a part of. */
  readonly control: string | undefined;
  /** Behind the box itself. */
  readonly outside: Grounds;
  /** Behind what is in it: its own background over that. */
  readonly inside: Grounds;
  /** The nearest box around it that cuts off what reaches out. */
  readonly cutBy: ScreenBox | undefined;
}

/** Most colours that are held against something at one place. */
const mostGrounds = 12;

/** The colours of a box's own background; undefined where it is a picture. */
export function ownGrounds({ look }: Pick<ScreenBox, 'look'>): Grounds {
  if (look.picture !== undefined) return undefined;
  if (!look.fill) return look.background && look.background !== 'none' ? [look.background] : [];
  const layers = fillLayers(look.fill) ?? [];
  return layers.some((layer) => 'picture' in layer) ? undefined : fillColours(layers);
}

/** The colours that may lie behind what is in a box. */
function groundsIn(box: ScreenBox, below: Grounds): Grounds {
  const own = ownGrounds(box);
  if (!own) return undefined;
  if (own.length === 0 || !below || (box.look.opacity ?? 1) < 1) return below;
  const seen = own.flatMap((colour) => below.map((ground) => over(colour, ground)));
  return [...new Set(seen)].slice(0, mostGrounds);
}

/** The boxes of a layout in their order, each with what lies behind it. A screen lies on white. */
export function groundedBoxes({ boxes }: ScreenLayout): readonly Grounded[] {
  const found: Grounded[] = [];
  for (const box of boxes) {
    const around = box.parent < 0 ? undefined : found[box.parent];
    const outside = around ? around.inside : ['#ffffff'];
    found.push({
      box,
      control: box.control ?? around?.control,
      outside,
      inside: groundsIn(box, outside),
      cutBy: around?.box.look.clips ? around.box : around?.cutBy,
    });
  }
  return found;
}
