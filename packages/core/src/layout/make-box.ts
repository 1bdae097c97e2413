/** Makes boxes, with the answers that containers ask for: whether their width follows from a height, and how their limits decide. */
import { type Box, type BoxStyle, type Content, type GridContent, nothingKnown } from './box.ts';
import { asksContent } from './grid/sized-tracks.ts';
import { fills, ignoresLateLimits, isFraction, limitsHeightByParts } from './sizes.ts';

/** What `makeBox` finds out by itself. */
type Derived =
  | 'known'
  | 'size'
  | 'heightMatters'
  | 'widthAsksHeight'
  | 'asksAgain'
  | 'keepsAnswer'
  | 'limitsMatter';

/** Makes a box with nothing known about it yet. */
export function makeBox(box: Omit<Box, Derived>): Box {
  const { content, style, children } = box;
  const { minHeight, maxHeight } = style;
  let size = 1;
  const hasOwnRatio = style.aspect !== undefined || content.type === 'picture';
  let follows = false;
  for (const child of children) {
    size += child.size;
    follows ||= followsIn(content, child);
  }
  const inside = follows && passesHeightOn(content, children);
  const asksAgain = hasOwnRatio || contentAsksAgain(box);
  const repeatsRows = content.type === 'grid' && content.rows.some((part) => 'auto' in part);
  return {
    control: box.control,
    style,
    content,
    children,
    size,
    look: box.look,
    items: box.items,
    // Rows that a limit cuts off fill a height that is given, if it is the same one.
    heightMatters:
      askHeight(content, children) || (content.type === 'grid' && (minHeight ?? maxHeight) !== undefined),
    widthAsksHeight: asksAgain || inside || repeatsRows,
    asksAgain,
    keepsAnswer: repeatsRows || ignoresLateLimits(box) || children.some((child) => child.keepsAnswer),
    limitsMatter:
      limitsHeightByParts(box) &&
      (content.type === 'grid' ||
        (isWrappingColumn(content) && maxHeight !== undefined) ||
        (style.aspect !== undefined && content.type !== 'picture')),
    known: nothingKnown(),
  };
}

const isWrappingColumn = (content: Content): boolean =>
  content.type === 'flex' && content.wrap && content.direction === 'column';

/**
 * Whether what stands in a box, without its own ratio, is asked for its width by content anew once the height is known
 * (see `asksAfresh`).
 */
export const contentAsksAgain = ({ content, children }: Pick<Box, 'content' | 'children'>): boolean =>
  isWrappingColumn(content) ||
  (children.some((child) => child.asksAgain && followsIn(content, child)) &&
    passesHeightOn(content, children));

/** Whether children that are as wide as their height says have to do with the width of what they stand in. */
function passesHeightOn(content: Content, children: readonly Box[]): boolean {
  switch (content.type) {
    case 'scroll':
      return content.axis === 'horizontal';
    case 'grid':
      return !hasFixedColumns(content, children);
    default:
      return content.type !== 'pinboard' && content.type !== 'split';
  }
}

/** Whether all children stand in columns that ask nothing of them. */
const hasFixedColumns = ({ columns, flow }: GridContent, children: readonly Box[]): boolean =>
  columns.length > 0 &&
  flow === 'row' &&
  columns.every((part) =>
    ('auto' in part ? part.tracks : [part]).every((each) => !asksContent(each, undefined)),
  ) &&
  children.every(
    ({ style: { area } }) =>
      area === undefined ||
      (area.column === undefined && (area.columnSpan === 'all' || area.columnSpan <= columns.length)),
  );

/** Whether a height, or a limit of it, is a part of the container's. */
const hasPart = ({ height, minHeight, maxHeight }: BoxStyle): boolean =>
  isFraction(height) || isFraction(minHeight) || isFraction(maxHeight);

/**
 * Whether a child's height follows from its container's, and its width is not known anyway: browsers do not look at that of
 * a picture. Lines of a row that wraps are as high as what is in them.
 */
function isHeldBy(content: Content, { style, content: { type } }: Box): boolean {
  if (typeof style.width === 'number' && type !== 'picture') return false;
  if (hasPart(style)) return true;
  if (content.type === 'flex' && (content.direction === 'column' || content.wrap)) return false;
  if (content.type === 'scroll') return true;
  return (
    (content.type === 'flex' || content.type === 'grid') &&
    fills(style.height, style.alignSelf ?? content.align)
  );
}

/** Whether a child's width may follow from its container's height. */
export const followsIn = (content: Content, child: Box): boolean =>
  child.widthAsksHeight && isHeldBy(content, child);

function askHeight(content: Content, children: readonly Box[]): boolean {
  switch (content.type) {
    case 'scroll':
      return true;
    case 'grid':
      if (content.rows.length > 0 || content.autoRows.length > 0) return true;
      break;
    case 'flex':
      // With margins below 0 a column may be higher on the way than it is at the end: it breaks there, once that is definite.
      if (
        isWrappingColumn(content) &&
        children.some(({ style: { margin } }) => margin.top < 0 || margin.bottom < 0)
      )
        return true;
      break;
    case 'split':
      break;
    default:
      return false;
  }
  for (const { style, heightMatters, widthAsksHeight } of children) {
    if (hasPart(style)) return true;
    if (widthAsksHeight) return true;
    if (heightMatters && typeof style.height !== 'number') return true;
  }
  return false;
}
