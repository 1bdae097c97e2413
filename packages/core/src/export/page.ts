/**
 * A project as a page: `index.html`, `style.css` and `script.js`, with fonts and pictures beside them. It works
 * opened from disk, and a browser lays it out as the core does.
 */

import type { Conditions } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { convert, Values } from '../cascade/values.ts';
import { aroundOf, colourDeclarations, declarations } from '../css/declarations.ts';
import { configFile } from '../document/feed-config.ts';
import { isRecord } from '../document/record.ts';
import { type Control, isDialog, type Project, startScreen } from '../document/types.ts';
import { sharingBudget } from '../expression/budget.ts';
import { EvaluationError, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import { initialScope } from '../expression/initial-scope.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { addressTo } from '../kinds/link.ts';
import { arrangementNow, arrangementOf, mannerOf } from '../kinds/manner.ts';
import { contextOf } from '../meaning/property-text.ts';
import { expandedProject } from '../reuse/expand.ts';
import type { Program } from '../runtime/program.ts';
import { entryOf, itemAt } from '../sure.ts';
import { fontFaceRules, standInRules } from '../text/fonts.ts';
import { asBegun } from './as-begun.ts';
import { classOf } from './class-names.ts';
import { type Elements, elementTree, type TreeElement } from './element-tree.ts';
import type { Exported, Exporter, ExportParts } from './exporter.ts';
import { type FirstValues, firstValueRules, withFirstValues } from './first-values.ts';
import { charactersToCut, fontsInUse, fontsToBegin } from './fonts-in-use.ts';
import { headText } from './head.ts';
import { escapeAttribute, htmlOf } from './html.ts';
import { iconSymbols } from './icon-symbols.ts';
import { pageLanguages, pageWords, translationsOf, withWordsMarked, wordsFile } from './languages.ts';
import { callsOwnCode, codeFile, firstOwnCode, ownCodeFile, typesText } from './own-code.ts';
import { iconFile } from './page-icon.ts';
import { partClassesOf } from './part-classes.ts';
import { piecesNeeded } from './pieces.ts';
import { headersText } from './policy.ts';
import { addressOf, iconsAskedFor, programOf, styleTemplates } from './program.ts';
import { stylesheet } from './stylesheet.ts';

/** Inline style for the bound properties of a control, at the values of a scope. */
function initialStyle(
  project: Project,
  control: Control,
  parent: Control | undefined,
  scope: Scope,
  conditions: Conditions,
): string {
  if (!parent) return '';
  const kind = kindOf(control);
  const bound = new Map<string, unknown>();
  const templates = styleTemplates(control, contextOf(project, control), conditions);
  for (const property of kind.properties) {
    const template = templates[property.name];
    if (!template) continue;
    try {
      const { value } = convert(property.type, evaluateTemplate(template, scope), conditions.theme.tokens);
      if (value !== undefined) bound.set(property.name, value);
    } catch (error) {
      if (!(error instanceof EvaluationError)) throw error;
    }
  }
  const values = new Values(bound);
  const manner = mannerOf(kind);
  const plain = arrangementOf(manner, plainValues(control, conditions));
  const around = aroundOf(parent, control, conditions);
  const css = new Map(declarations(values, manner, around, arrangementNow(manner, values, plain)));
  for (const each of colourDeclarations(manner, values)) css.set(...each);
  return [...css].map(([name, value]) => `${name}: ${value}`).join('; ');
}

/** Data as a script has it: whoever puts it into a page of their own must not find its end in somebody's text. */
const scriptText = (data: unknown): string =>
  JSON.stringify(data)
    .replaceAll('\u2028', '\\u2028')
    .replaceAll('\u2029', '\\u2029')
    .replaceAll('</', '<\\/');

/**
 * A program without the places in the source that its expressions stand at: a page has no source to point at. Values that
 * variables begin with are a person's own and stay whole.
 */
function withoutSpans(part: unknown): unknown {
  if (Array.isArray(part)) return part.map(withoutSpans);
  if (!isRecord(part)) return part;
  return Object.fromEntries(
    Object.entries(part).flatMap(([key, value]) =>
      key === 'span' || key === 'statement' ? [] : [[key, key === 'initial' ? value : withoutSpans(value)]],
    ),
  );
}

/** The page's script, the pieces that this page needs, and its program, which starts it. */
function scriptOf(project: Project, parts: ExportParts, program: Program): string {
  return [
    parts.script.trimEnd(),
    ...piecesNeeded(project, program).map((name) => entryOf(parts.pieces, name).trimEnd()),
    '',
    `hovrinPage.start(${scriptText(withoutSpans(program))});\n`,
  ].join('\n');
}

/** The rows of tables that are more than a program begins with: scripts, so that a page opened from disk has them, too. */
function tableFiles(project: Project, program: Program, { rowsOfTable }: ExportParts): [string, string][] {
  return program.state.flatMap(({ name, table }): [string, string][] => {
    const id = project.state.find((variable) => variable.name === name)?.table?.id;
    const rows = table?.file !== undefined && id !== undefined ? rowsOfTable?.(id) : undefined;
    return rows ? [[table!.file!, `hovrinPage.rows(${scriptText(name)}, ${scriptText(rows)});\n`]] : [];
  });
}

/** `config.json` to begin with: the names of feeds and services, and nothing of them yet. None where there are none. */
function firstConfig({ state, sources = [] }: Project): [string, string][] {
  const feeds = state.flatMap(({ name, feed }) => (feed ? [[name, {}] as const] : []));
  const services = sources.map(({ name }) => [name, {}] as const);
  const said = {
    ...(feeds.length > 0 ? { feeds: Object.fromEntries(feeds) } : {}),
    ...(services.length > 0 ? { sources: Object.fromEntries(services) } : {}),
  };
  return Object.keys(said).length === 0 ? [] : [[configFile, `${JSON.stringify(said, null, 2)}\n`]];
}

/** A page that works from any web server and opened from disk. */
export const html: Exporter = {
  id: 'html',
  label: 'A page',
  purpose: 'It works from any web server, and opened from disk.',
  contents: [
    ['index.html', 'All screens, with real labels, inputs and buttons'],
    ['style.css', 'Plain flexbox with one rule a control, changes in media queries'],
    ['fonts.css', 'The fonts, each with the characters that it is for'],
    ['script.js', 'State, bindings and events; no layout'],
    ['fonts/, assets/', 'The fonts in use and the pictures'],
    ['icon.svg', 'What stands for the page in tabs, where no picture was chosen for that'],
    [
      'handlers.js, hovrin.d.ts',
      'Where events call code of your own: a file to begin with, yours to keep, and its types',
    ],
    ['code.js', 'The code of the project, as a plain script'],
    ['words/', 'What differs in each other language, which is asked for where somebody reads it'],
    ['config.json', 'Where feeds come from at the place where the page runs, yours to keep'],
    ['headers.txt', 'What your server is to send with it, so that nothing strange can run'],
  ],
  files: (project, parts) => sharingBudget(() => exported(asBegun(project), parts)),
};

/**
 * The element of a screen. All screens are on the page, so that it works without its script: its address says which one is
 * seen (CSS Selectors 4 §8.2, `:target`), without one it is the first. A dialog has no address; it waits in a template.
 */
function screenElement(screen: Control, isStart: boolean, elements: Elements): TreeElement {
  const address = addressOf(screen);
  const made = withPlaceMarked(elementTree(screen, elements), addressTo(address));
  const inTemplate = isDialog(screen) && !isStart;
  const attributes: TreeElement['attributes'] = [
    ...made.attributes,
    ['id', address],
    ...(isStart || inTemplate ? [] : [['hidden', true] as const]),
  ];
  const element = { ...(isStart ? made : withLazyPictures(made)), attributes };
  return inTemplate
    ? { tag: 'template', attributes: [['data-screen', address]], inside: [element] }
    : element;
}

/** An element and all in it, with more attributes on those of one tag. */
const withMore = (
  element: TreeElement,
  tag: string,
  more: (attributes: TreeElement['attributes']) => TreeElement['attributes'],
): TreeElement => ({
  ...element,
  attributes: element.tag === tag ? [...element.attributes, ...more(element.attributes)] : element.attributes,
  inside:
    typeof element.inside === 'string'
      ? element.inside
      : element.inside.map((child) => withMore(child, tag, more)),
});

/** Pictures of a screen that is not seen at first come when it is (HTML §2.5.7, lazy loading). */
const withLazyPictures = (screen: TreeElement): TreeElement =>
  withMore(screen, 'img', () => [['loading', 'lazy']]);

/** In the navigation of a screen, the place that it is itself is marked (ARIA 1.2 §6.6, `aria-current`). */
const withPlaceMarked = (screen: TreeElement, href: string): TreeElement =>
  withMore(screen, 'a', (attributes) => {
    const has = (name: string, value: string) =>
      attributes.some((each) => each[0] === name && each[1] === value);
    return has('class', 'part-place') && has('href', href) ? [['aria-current', 'page']] : [];
  });

/** The circumstances that a project's elements are made in. The page's own media queries decide about bands and orientations. */
function elementsOf(project: Project, partClass: NonNullable<Elements['partClass']>): Elements {
  const conditions = { prefixes: [''], theme: themeOf(project) };
  return {
    circumstances: { bands: [], width: 0, height: 0, ...conditions, scope: initialScope(project) },
    assets: project.assets,
    partClass,
    styleOf: (control, parent, scope) => initialStyle(project, control, parent, scope, conditions),
  };
}

const screenElements = (project: Project, elements: Elements): TreeElement[] => {
  const start = startScreen(project);
  return project.screens.map((screen) => screenElement(screen, screen === start, elements));
};

/** The files of words, one for each other language. */
const wordsFiles = (
  source: Program,
  translated: readonly { readonly tag: string; readonly words: Program; readonly texts: readonly string[] }[],
): [string, string][] =>
  translated.map(({ tag, words, texts }) => [
    wordsFile(tag),
    `hovrinPage.words(${scriptText(tag)}, ${scriptText(pageWords(texts, withoutSpans(source) as Program, withoutSpans(words) as Program))});\n`,
  ]);

function exported(given: Project, parts: ExportParts): Exported {
  const project = expandedProject(given);
  const partClass = partClassesOf(given, project.screens);
  const start = startScreen(project);
  const elements = elementsOf(project, partClass);
  const translations = translationsOf(given);
  const languages = translations.size > 0 ? pageLanguages(project, parts.rightToLeft === true) : undefined;
  const translated = [...translations].map(([tag, each]) => ({ tag, project: expandedProject(each) }));
  const { elements: made, texts: wordsIn } = withWordsMarked(
    screenElements(project, elements),
    translated.map((each) => screenElements(each.project, elementsOf(each.project, partClass))),
  );
  const screens = made.map((each, index) => {
    const found: FirstValues = new Map();
    const element = withFirstValues(each, found);
    return { element, rules: firstValueRules(classOf(addressOf(project.screens[index])), found) };
  });
  const ownCode = callsOwnCode(project);
  const { code = [] } = project;
  // What lies beside the page comes first: the project's own handlers join it.
  const scripts = [...(ownCode ? [ownCodeFile] : []), ...(code.length > 0 ? [codeFile] : []), 'script.js'];
  const elementsOfPage = screens.map(({ element }) => element);
  const symbols = iconSymbols(elementsOfPage, iconsAskedFor(project));
  const html = `<!doctype html>
<html lang="${escapeAttribute(project.language ?? 'en')}"${parts.rightToLeft ? ' dir="rtl"' : ''}>
${headText(project, scripts, { ...parts, languages })}
  <body>
${[...elementsOfPage, ...(symbols ? [symbols] : [])].map((element) => `${htmlOf(element, '    ')}\n`).join('')}  </body>
</html>
`;
  const program = programOf(project, languages);
  const texts = [
    ['index.html', html] as const,
    ['script.js', scriptOf(project, parts, program)] as const,
    ...(code.length > 0 ? [[codeFile, parts.compileCode(code)] as const] : []),
    ...tableFiles(project, program, parts),
    ...wordsFiles(
      program,
      translated.map((each, index) => ({
        tag: each.tag,
        words: programOf(each.project, languages),
        texts: itemAt(wordsIn, index),
      })),
    ),
  ];
  const words = [html, JSON.stringify(program), ...texts.slice(2).map(([, text]) => text)];
  const fonts = fontsInUse(project, parts.fonts, words);
  return {
    files: new Map([
      ...texts,
      ['fonts.css', fontFaceRules(fonts, 'fonts/', () => true, 'swap') + standInRules(fonts.standIns)],
      [
        'style.css',
        [stylesheet(project, partClass), ...screens.flatMap(({ rules }) => rules || [])].join('\n'),
      ],
      [
        'headers.txt',
        headersText(project, start ? fontsToBegin(project, start, parts.fonts) : [], parts.config),
      ],
      ...iconFile(project),
      ...(ownCode ? [['hovrin.d.ts', typesText(given)] as const] : []),
    ]),
    own: new Map([
      ...(ownCode ? [[ownCodeFile, firstOwnCode(given)] as const] : []),
      ...firstConfig(project),
    ]),
    fonts: [...new Set(fonts.files.map((file) => `${file.file}.woff2`))],
    cutFonts: charactersToCut(fonts, words),
    assets: project.assets.map((asset) => asset.name),
  };
}
