/** Files that a person gets from the page, and what it puts where they can paste it from. */
import { tell, tellProblem, trial } from '../trial.ts';
import type { Piece } from './piece.ts';

/** Lets events give files, and copy. */
export const piece: Piece = (_, { host: { acting } }) => {
  acting.copy = (text) => void copyText(text);
  acting.download = giveFile;
};

/** Hands over a text as a file, the way the browser does with downloads. */
function giveFile(name: string, text: string): void {
  // The frame of a trial may not do that by itself: the window around it asks first.
  if (trial) {
    tell({ type: 'hovrin-file', name, text });
    return;
  }
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/plain;charset=utf-8' }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

/** Puts a text on the clipboard. */
async function copyText(text: string): Promise<void> {
  try {
    if (trial) tell({ type: 'hovrin-copy', text });
    else await navigator.clipboard.writeText(text);
  } catch {
    tellProblem('The browser does not allow copying.');
  }
}
