/** What kinds say in CSS besides what all controls do. */
import { toneCss } from './button.ts';
import { imageCss } from './image.ts';
import type { DeclaredCss } from './kind.ts';
import { navCss } from './nav.ts';
import { radioCss } from './radio-group.ts';

/** CSS of kinds' own properties, by kind. */
export const declaredBy: Readonly<Record<string, DeclaredCss>> = {
  button: toneCss,
  iconButton: toneCss,
  menuButton: toneCss,
  image: imageCss,
  nav: navCss,
  radioGroup: radioCss,
};

/** Kinds whose element keeps a size of its own where others stretch (a button, a picture; Position 3 §4). */
export const ownSized: ReadonlySet<string> = new Set(['button', 'iconButton', 'image']);
