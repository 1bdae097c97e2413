/** Tokens, styles and components of a project that nothing uses. */
import { styleKey } from '../document/style-set.ts';
import { tokenName } from '../document/token.ts';
import { walk } from '../document/tree.ts';
import { asTyped, type Project, treesOf } from '../document/types.ts';
import { usesOfComponent } from '../steps/components.ts';
import { dropping } from '../steps/entities.ts';
import { unusedStyles } from '../steps/styling.ts';
import { usesOfToken } from '../steps/token-uses.ts';
import { shippedTokens } from '../tokens/shipped.ts';
import type { Fix } from '../why/explanation.ts';

/** Something that is there to be used, and could go. */
export interface UnusedFinding {
  readonly check: 'unused-token' | 'unused-style' | 'unused-component';
  readonly severity: 'advice';
  /** A token's name as attributes have it, a style's, or a component's. */
  readonly name: string;
  readonly sentence: string;
  readonly fixes: readonly Fix[];
}

/** What the interface and the command line call these checks. */
export const unusedTitles: Readonly<Record<UnusedFinding['check'], string>> = {
  'unused-token': 'Unused token',
  'unused-style': 'Unused style',
  'unused-component': 'Unused component',
};

/** Roles and measures of controls are used by the kinds themselves. */
const ofKinds = new Set(shippedTokens.map(({ path }) => path));

/** All words that a project's texts are made of: a token that is not among them is named by none. */
function wordsIn(project: Project): ReadonlySet<string> {
  const words = new Set<string>();
  const take = (text: string | undefined) => {
    for (const [word] of (text ?? '').matchAll(/[A-Za-z_][\w.-]*/g)) words.add(word);
  };
  for (const screen of treesOf(project))
    for (const { props } of walk(screen)) for (const value of Object.values(props)) take(asTyped(value));
  for (const { props } of project.styles ?? [])
    for (const value of Object.values(props)) take(asTyped(value));
  for (const { value, dark, contrast } of project.tokens ?? []) take(JSON.stringify([value, dark, contrast]));
  return words;
}

/** The project's own tokens that nothing names, in their order. */
export function unusedTokens(project: Project): readonly string[] {
  const own = (project.tokens ?? []).filter(({ path }) => !ofKinds.has(path));
  if (own.length === 0) return [];
  const words = wordsIn(project);
  return own.flatMap(({ path }) =>
    (words.has(tokenName(path)) || words.has(path)) && usesOfToken(project, path) > 0 ? [] : [path],
  );
}

/** What of a project nothing uses: components, styles, tokens. */
export function unusedIn(project: Project): UnusedFinding[] {
  const tokens = new Map((project.tokens ?? []).map((token) => [token.path, token]));
  const idle = (project.components ?? []).filter(
    ({ name = '' }) => usesOfComponent(project, name).length === 0 && project.surround !== name,
  );
  return [
    ...idle.map(
      ({ id, name = '' }): UnusedFinding => ({
        check: 'unused-component',
        severity: 'advice',
        name,
        sentence: `No screen has the component \`${name}\`.`,
        fixes: [{ label: `Delete the component ${name}`, steps: [{ type: 'remove', control: id }] }],
      }),
    ),
    ...unusedStyles(project).map((style): UnusedFinding => {
      const name = styleKey(style);
      return {
        check: 'unused-style',
        severity: 'advice',
        name,
        sentence: `No control has the style \`${name}\`.`,
        fixes: [{ label: `Delete the style ${name}`, steps: [dropping('styles', style)] }],
      };
    }),
    ...unusedTokens(project).map((path): UnusedFinding => {
      const name = tokenName(path);
      const token = tokens.get(path);
      return {
        check: 'unused-token',
        severity: 'advice',
        name,
        sentence: `Nothing names the token \`${name}\`.`,
        fixes: token ? [{ label: `Delete the token ${name}`, steps: [dropping('tokens', token)] }] : [],
      };
    }),
  ];
}
