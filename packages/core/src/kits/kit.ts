/** Components with all that they need, taken from one project to another: what goes along, as files, and back. */
import { type Style, styleKey } from '../document/style-set.ts';
import { type Token, tokenName } from '../document/token.ts';
import { walk } from '../document/tree.ts';
import { type Asset, type Control, inForce, type Project } from '../document/types.ts';
import { contextOf } from '../meaning/property-text.ts';
import { isInstance } from '../reuse/instance-kinds.ts';
import { parseScreen } from '../source/parse.ts';
import { printScreen } from '../source/print.ts';
import type { SourceProblem } from '../source/problem.ts';
import { printStyleFile, readStyleFile, styleFile } from '../source/style-file.ts';
import { printTokenFiles, readTokenFiles } from '../source/token-files.ts';
import { shippedTokens } from '../tokens/shipped.ts';

/** What a kit file ends with. */
export const kitEnding = '.hovrin-kit.zip';

export interface Kit {
  readonly components: readonly Control[];
  readonly styles: readonly Style[];
  readonly tokens: readonly Token[];
  /** File names of pictures, in `assets/` of the kit. */
  readonly pictures: readonly string[];
}

/** All words of some texts that could be names of styles and tokens. */
const wordsOf = (texts: readonly string[]): ReadonlySet<string> =>
  new Set(texts.flatMap((text) => text.match(/[A-Za-z_][\w.-]*/g) ?? []));

const textsOf = (controls: readonly Control[]): string[] =>
  controls.flatMap((top) =>
    [...walk(top)].flatMap(({ props }) => Object.values(props).map((value) => inForce(value) ?? '')),
  );

const styleTexts = (styles: readonly Style[]): string[] =>
  styles.flatMap(({ props }) => Object.values(props).map((value) => inForce(value) ?? ''));

/** Components by name, with those that stand in them. */
function withHeld(project: Project, names: readonly string[]): readonly Control[] {
  const wanted = new Set<string>();
  const take = (name: string) => {
    const component = (project.components ?? []).find((each) => each.name === name);
    if (!component || wanted.has(name)) return;
    wanted.add(name);
    for (const control of walk(component)) if (isInstance(control)) take(control.kind);
  };
  names.forEach(take);
  return (project.components ?? []).filter(({ name }) => wanted.has(name ?? ''));
}

/** Tokens that some texts name, and those that these lead to. */
function tokensIn(all: readonly Token[], texts: readonly string[]): readonly Token[] {
  let found: readonly Token[] = [];
  for (;;) {
    const words = wordsOf([
      ...texts,
      ...found.map(({ value, dark, contrast }) => JSON.stringify([value, dark, contrast])),
    ]);
    const next = all.filter(({ path }) => words.has(tokenName(path)) || words.has(path));
    if (next.length === found.length) return next;
    found = next;
  }
}

/** Some components of a project with all that they need of it: other components, styles, tokens, pictures. */
export function kitOf(project: Project, names: readonly string[]): Kit {
  const components = withHeld(project, names);
  const texts = textsOf(components);
  const words = wordsOf(texts);
  const styles = (project.styles ?? []).filter(({ name }) => name !== undefined && words.has(name));
  const all = [...texts, ...styleTexts(styles)];
  return {
    components,
    styles,
    tokens: tokensIn(project.tokens ?? [], all),
    pictures: project.assets.flatMap(({ name }) => (all.some((text) => text.includes(name)) ? name : [])),
  };
}

/** The text files of a kit by path. Pictures go beside them into `assets/`. */
export function printKit({ components, styles, tokens }: Kit, bands: Project['bands']): Map<string, string> {
  const files = new Map(
    components.map((component) => [
      `components/${component.name}.component.xml`,
      printScreen(component, bands),
    ]),
  );
  for (const [path, text] of printTokenFiles(tokens)) files.set(path, text);
  if (styles.length > 0) files.set(styleFile, printStyleFile(styles, bands));
  return files;
}

export type KitReading =
  | { readonly ok: true; readonly kit: Kit }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/**
 * Reads the files of a kit for a project. What its expressions name may be missing there: that is mended later.
 *
 * @param files texts by path. @param pictures paths of the others.
 */
export function readKit(
  files: ReadonlyMap<string, string>,
  pictures: readonly string[],
  project: Project,
  newId: () => string,
): KitReading {
  // What its own components declare is not known before all of them are there.
  const { components: _, ...known } = contextOf(project);
  const context = { ...known, namesKnown: false, anyToken: true };
  const problems: SourceProblem[] = [];
  const components: Control[] = [];
  for (const [path, text] of files) {
    const [, name] = /^components\/([^/]+)\.component\.xml$/.exec(path) ?? [];
    if (name === undefined) continue;
    const parsed = parseScreen(text, { file: path, context, newId, list: 'components' });
    if (parsed.ok) components.push({ ...parsed.screen, name: parsed.screen.name ?? name });
    else problems.push(...parsed.problems);
  }
  const tokens = readTokenFiles(files, shippedTokens);
  if (!tokens.ok) problems.push(...tokens.problems);
  const styleText = files.get(styleFile);
  const styles = styleText === undefined ? undefined : readStyleFile(styleText, context);
  if (styles && !styles.ok) problems.push(...styles.problems);
  const isEmpty =
    components.length === 0 && !styles && tokens.ok && tokens.tokens.length === 0 && pictures.length === 0;
  if (isEmpty && problems.length === 0)
    problems.push({ file: 'kit', line: 1, column: 1, message: 'There is nothing of a kit in it.' });
  if (problems.length > 0 || !tokens.ok || (styles && !styles.ok)) return { ok: false, problems };
  return {
    ok: true,
    kit: {
      components,
      styles: styles?.styles ?? [],
      tokens: tokens.tokens,
      pictures: pictures.flatMap((path) => /^assets\/([^/]+)$/.exec(path)?.[1] ?? []),
    },
  };
}

/** What of a kit is called like something that is there already and says something else. */
export interface Clash {
  readonly of: 'components' | 'styles' | 'tokens';
  readonly name: string;
}

const isSame = (one: object, other: object): boolean => JSON.stringify(one) === JSON.stringify(other);

/** What a kit and a project both have under one name, and not alike. */
export function clashesOf(project: Project, { components, styles, tokens }: Kit): Clash[] {
  const text = (component: Control) => printScreen(component, project.bands);
  const own = new Map((project.components ?? []).map((each) => [each.name ?? '', text(each)]));
  const ownStyles = new Map((project.styles ?? []).map((each) => [styleKey(each), each]));
  const ownTokens = new Map((project.tokens ?? []).map((each) => [each.path, each]));
  const differs = <T extends object>(known: T | undefined, other: T) =>
    known !== undefined && !isSame(known, other);
  return [
    ...components.flatMap((each): Clash[] => {
      const known = own.get(each.name ?? '');
      return known !== undefined && known !== text(each) ? [{ of: 'components', name: each.name ?? '' }] : [];
    }),
    ...styles.flatMap((each): Clash[] =>
      differs(ownStyles.get(styleKey(each)), each) ? [{ of: 'styles', name: styleKey(each) }] : [],
    ),
    ...tokens.flatMap((each): Clash[] =>
      differs(ownTokens.get(each.path), each) ? [{ of: 'tokens', name: each.path }] : [],
    ),
  ];
}

/** The pictures of a kit that a project does not have. */
export const newPictures = (
  { assets }: { readonly assets: readonly Asset[] },
  { pictures }: Kit,
): readonly string[] => pictures.filter((name) => !assets.some((asset) => asset.name === name));
