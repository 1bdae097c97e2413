/**
 * How much things stand out against what is behind them: words (WCAG 2.2, 1.4.3, and 1.4.6 where more contrast is asked for),
 * edges and icons (1.4.11), and the ring around what has the focus (2.4.7, 2.4.13). Of a gradient the worst colour counts; over
 * pictures nothing is said.
 */
import type { ScreenBox, ScreenLayout } from '../layout/screen-layout.ts';
import { itemAt } from '../sure.ts';
import { contrastOf } from '../tokens/srgb.ts';
import { focusRingOffset, focusRingWidth } from '../values/focus-ring.ts';
import { type Grounded, type Grounds, groundedBoxes, ownGrounds } from './grounds.ts';

/** Something on a ground. */
export interface OnGround {
  /** `words`; `part`: an edge or an icon; `focus`: the ring of the focus. */
  readonly what: 'words' | 'part' | 'focus';
  readonly control: string;
  readonly ink: string;
  /** The opaque colour behind it against which it stands out least. */
  readonly ground: string;
  readonly ratio: number;
  /** What must be reached: 4.5 for words, 3 for large ones and all that is not words. */
  readonly needed: number;
  /** What would be kinder: more than needed for words where more contrast is asked for. */
  readonly wanted: number;
  /** The part of its control that it is, where that has a look of its own. */
  readonly part?: string;
  /** Whether it is seen by its border or by its background. */
  readonly by?: 'border' | 'ground';
}

/** What is known of the controls of a screen. */
export interface Known {
  /** Whether more is asked for than must be: by readers who want more contrast, of what stands there for long. */
  readonly wantsMore: boolean;
  /** Whether a control is off: nothing is asked of it (1.4.3, 1.4.11, "inactive"). */
  isOff(control: string): boolean;
  /** Whether a control takes the focus. */
  takesFocus(control: string): boolean;
  /** Whether a control is called something that is not seen: what it draws then says it alone. */
  isNamed(control: string): boolean;
  /** The colour of the ring around what has the focus. */
  readonly ring: string;
}

/** Large enough that less will do: 24 px, or 18.66 px where it is bold (WCAG 2.2, "large scale"). */
const isLarge = ({ look }: ScreenBox): boolean =>
  look.text !== undefined && (look.text.size >= 24 || (look.text.size >= 18.66 && look.text.weight >= 700));

/** The ground that a colour stands out least against. */
function least(ink: string, grounds: readonly string[]): { readonly ground: string; readonly ratio: number } {
  const all = grounds.map((ground) => ({ ground, ratio: contrastOf(ink, ground) }));
  return itemAt(
    all.toSorted((a, b) => a.ratio - b.ratio),
    0,
  );
}

const hasWords = ({ lines, look }: ScreenBox): boolean =>
  lines.some(({ text }) => text.trim() !== '') || (look.inner?.text ?? '') !== '';

function wordsOf({ box, inside }: Grounded, wantsMore: boolean): Omit<OnGround, 'control'> | undefined {
  const { look } = box;
  if (!inside || look.colour === undefined || look.textFill || !hasWords(box)) return undefined;
  const [needed, more] = isLarge(box) ? [3, 4.5] : [4.5, 7];
  return {
    what: 'words',
    ink: look.colour,
    ...least(look.colour, inside),
    needed,
    wanted: wantsMore ? more : needed,
  };
}

/** Parts of controls that are seen by their edge alone. */
const edged = new Set(['box', 'track']);

const hasBorder = ({ box }: ScreenBox): boolean =>
  [box.style.border.top, box.style.border.end, box.style.border.bottom, box.style.border.start].some(
    (width) => width > 0,
  );

/** The edge of what is entered or turned on: its border or its background, whichever is seen better. */
function edgeOf({ box, outside }: Grounded): Omit<OnGround, 'control'> | undefined {
  const { look } = box;
  if (!outside || look.part === undefined || !edged.has(look.part)) return undefined;
  const border = hasBorder(box) && typeof look.borderColour === 'string' ? [look.borderColour] : [];
  const inks: Grounds = ownGrounds(box);
  if (!inks) return undefined;
  const seen = [
    ...border.map((ink) => ({ by: 'border' as const, ink, ...least(ink, outside) })),
    ...inks.map((ink) => ({ by: 'ground' as const, ink, ...least(ink, outside) })),
  ];
  const best = seen.toSorted((a, b) => b.ratio - a.ratio)[0];
  return best && { what: 'part', ...best, needed: 3, wanted: 3, part: look.part };
}

/** An icon that says something by itself. */
function iconOf({ box, inside }: Grounded): Omit<OnGround, 'control'> | undefined {
  const { drawing, colour } = box.look;
  if (!inside || !drawing || drawing.place === 'stretch' || colour === undefined) return undefined;
  return { what: 'part', ink: colour, ...least(colour, inside), needed: 3, wanted: 3 };
}

/** How far the ring around what has the focus reaches out, CSS px. */
const ringReach = focusRingOffset + focusRingWidth;

/** Whether nothing of the ring is seen, since what is around cuts it off on all sides. */
function isCut({ box, cutBy }: Grounded): boolean {
  if (!cutBy) return false;
  return (
    box.x - ringReach < cutBy.x &&
    box.y - ringReach < cutBy.y &&
    box.x + box.width + ringReach > cutBy.x + cutBy.width &&
    box.y + box.height + ringReach > cutBy.y + cutBy.height
  );
}

function ringOf(grounded: Grounded, ring: string): Omit<OnGround, 'control'> | undefined {
  const { outside } = grounded;
  if (isCut(grounded)) return { what: 'focus', ink: ring, ground: ring, ratio: 1, needed: 3, wanted: 3 };
  return outside && { what: 'focus', ink: ring, ...least(ring, outside), needed: 3, wanted: 3 };
}

/** All that has to stand out in a layout, with what is behind it. */
export function allOnGrounds(layout: ScreenLayout, known: Known): OnGround[] {
  return groundedBoxes(layout).flatMap((grounded): OnGround[] => {
    const { control, box } = grounded;
    if (control === undefined || known.isOff(control) || box.width <= 0 || box.height <= 0) return [];
    const found = [
      wordsOf(grounded, known.wantsMore),
      edgeOf(grounded),
      known.isNamed(control) ? iconOf(grounded) : undefined,
      box.control !== undefined && known.takesFocus(control) ? ringOf(grounded, known.ring) : undefined,
    ];
    return found.flatMap((each) => (each ? { ...each, control } : []));
  });
}
