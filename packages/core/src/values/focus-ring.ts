/** The ring around what has the focus (CSS UI 4 §3, outlines): how far outside of the edge it begins, and how thick it is. CSS px. */
export const focusRingOffset = 2;
export const focusRingWidth = 2;
