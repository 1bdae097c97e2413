/** Words with expressions in them, in an element that people type in: expressions are chips. */
import { entriesType, escapeBraces, type TemplatePiece } from '@hovrin/core';

const chipLook =
  'mx-px inline-block max-w-[14em] truncate rounded-[3px] bg-[#22697a] px-1 align-bottom font-mono text-[0.8em] text-[#fffdf8] select-all';

/** Fills an element with words and chips. */
export function writeWords(element: HTMLElement, pieces: readonly TemplatePiece[]): void {
  element.replaceChildren(
    ...pieces.map((piece) => {
      if (piece.is === 'words') return document.createTextNode(escapeBraces(piece.text));
      const chip = document.createElement('span');
      chip.contentEditable = 'false';
      chip.dataset.expression = piece.text;
      chip.title = `${piece.text}: an expression, changed in Facts`;
      chip.className = chipLook;
      chip.textContent = piece.text.slice(1, -1);
      return chip;
    }),
  );
}

/** What stands in the element, as a property says it; an expression may also be typed in its braces. */
export function readWords(element: Node): string {
  let text = '';
  for (const node of element.childNodes) {
    if (node.nodeType === Node.TEXT_NODE) text += (node.textContent ?? '').replaceAll('\u00a0', ' ');
    else if (node instanceof HTMLElement && node.dataset.expression !== undefined)
      text += node.dataset.expression;
    else if (node instanceof HTMLBRElement) text += '\n';
    // Browsers put a line that is begun by Enter into a block.
    else text += (text === '' ? '' : '\n') + readWords(node);
  }
  // A browser leaves a line break behind where all was deleted, or at the very end.
  return text.replace(/\n$/, '');
}

/** The words of an entry. */
export function entryWords(text: string, entry: number): string {
  const read = entriesType.read(text);
  return read.ok ? (read.value[entry]?.label ?? '') : '';
}
