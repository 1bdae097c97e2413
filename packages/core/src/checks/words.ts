/** Words that do not fit, are cut, or are too long to read. */
import type { ScreenBox } from '../layout/screen-layout.ts';
import { type Add, type Ended, isClear, ownerOf } from './ended.ts';
import type { Severity } from './finding.ts';
import { type Ends, leeway, longestLine } from './measures.ts';

/** Words: wider than their box, cut, too long to read. */
export function words(add: Add, ended: Ended): void {
  const { start, end } = ended;
  const { content, style } = start.box;
  const { control } = ownerOf(ended).start;
  if (content.type !== 'text' || control === undefined) return;
  const { padding, border } = style;
  const aside = padding.start + padding.end + border.start + border.end;
  const above = padding.top + padding.bottom + border.top + border.bottom;
  const say = (check: string, severity: Severity, amount: Ends) => {
    if (isClear(...amount)) return;
    add({ check, severity, control, other: undefined, all: [amount], amount });
  };
  const wide = (box: ScreenBox) => widestOf(box) - (box.width - aside) - leeway;
  say('too-wide', 'error', [wide(start), wide(end)]);
  const high = (box: ScreenBox) =>
    box.lines.length * content.paragraphs.lineHeight - (box.height - above) - leeway;
  say('too-high', 'error', [high(start), high(end)]);
  const { most } = content;
  if (most !== undefined) {
    const cut = (box: ScreenBox) =>
      content.paragraphs.set(Math.max(0, box.width - aside)).lines.length - most;
    say('cut', 'warning', [cut(start), cut(end)]);
  }
  say('long-line', 'warning', [longestOf(start) - longestLine, longestOf(end) - longestLine]);
}

/** Width of the widest line. */
function widestOf({ lines }: ScreenBox): number {
  let widest = 0;
  for (const { width } of lines) widest = Math.max(widest, width);
  return widest;
}

/** Characters of the longest line. */
function longestOf({ lines }: ScreenBox): number {
  let longest = 0;
  // Letters that take two units are counted where it matters.
  for (const { text } of lines)
    longest = Math.max(longest, text.length > longestLine ? [...text].length : text.length);
  return longest;
}
