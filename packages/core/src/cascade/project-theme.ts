/** The theme that a project has: its tokens and styles in a mode. */
import { type Style, styleSetOf } from '../document/style-set.ts';
import type { Mode, Token } from '../document/token.ts';
import type { Project } from '../document/types.ts';
import { shippedTheme, type Theme, themeFrom } from '../values/theme.ts';

const noTokens: readonly Token[] = [];
const noStyleList: readonly Style[] = [];

/** Themes that were made last, by tokens, then by styles and mode: both lists change seldom. */
const made = new WeakMap<
  readonly Token[],
  { readonly styles: readonly Style[]; readonly byMode: Map<Mode, Theme> }
>();

/** A project's theme in a mode. The same object as long as its tokens and styles are the same. */
export function themeOf(
  { tokens = noTokens, styles = noStyleList }: Pick<Project, 'tokens' | 'styles'>,
  mode: Mode = 'light',
): Theme {
  if (tokens.length === 0 && styles.length === 0 && mode === 'light') return shippedTheme;
  let known = made.get(tokens);
  if (known?.styles !== styles) {
    known = { styles, byMode: new Map() };
    made.set(tokens, known);
  }
  let theme = known.byMode.get(mode);
  if (!theme) {
    theme = themeFrom(tokens, mode, styleSetOf(styles));
    known.byMode.set(mode, theme);
  }
  return theme;
}
