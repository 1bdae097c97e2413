/**
 * A piece of the page's script that only some pages have (`export/pieces.ts` of the core says which). A file beside this one
 * exports it as `piece`; it is built apart, takes nothing from the page's script but what it is given here, and is started
 * with the page.
 */
export type Piece = (page: Document, around: Around) => void;

/** What a page does for its pieces. */
export interface Around {
  /** Shows words for a while, and has them read out. */
  readonly say: (text: string) => void;
}
