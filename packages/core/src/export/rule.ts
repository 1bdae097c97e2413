/** Rules of a stylesheet, as they are made before they are printed. */
import type { Declarations } from '../css/declarations.ts';

export interface Rule {
  readonly selector: string;
  readonly css: Declarations;
  /** A container query around it. */
  readonly container?: string;
}

/** Rules that hold under one media query; no query: always. */
export interface Section {
  readonly query: string | undefined;
  readonly rules: Rule[];
}
