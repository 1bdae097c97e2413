/**
 * A project as a page: `index.html`, `style.css` and `script.js`, with fonts and pictures beside them. It works
 * opened from disk, and a browser lays it out as the core does.
 */

import type { Conditions } from '../cascade/cascade.ts';
import { defaultText } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { convert, Values } from '../cascade/values.ts';
import { aroundOf, declarations } from '../css/declarations.ts';
import { isRecord } from '../document/record.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, isDialog, type Project, startScreen } from '../document/types.ts';
import { sharingBudget } from '../expression/budget.ts';
import { EvaluationError, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import { initialScope } from '../expression/initial-scope.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { arrangementNow, arrangementOf, mannerOf } from '../kinds/manner.ts';
import { font, weight } from '../kinds/properties.ts';
import { contextOf } from '../meaning/property-text.ts';
import type { Program } from '../runtime/program.ts';
import { keysOf } from '../sure.ts';
import { type Face, fontFaceRules, fontWeights } from '../text/fonts.ts';
import { type Elements, elementTree, type TreeElement } from './element-tree.ts';
import type { Exported, Exporter, ExportParts } from './exporter.ts';
import { escapeText, htmlOf } from './html.ts';
import { pieces } from './pieces.ts';
import { addressOf, programOf, styleTemplates, titleOf } from './program.ts';
import { stylesheet } from './stylesheet.ts';

/** Inline style for what is bound, at the values that a scope has. */
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
  const templates = styleTemplates(control, contextOf(project, control));
  for (const property of kind.properties) {
    const template = templates[property.name];
    if (!template) continue;
    try {
      const { value } = convert(property.type, evaluateTemplate(template, scope));
      if (value !== undefined) bound.set(property.name, value);
    } catch (error) {
      if (!(error instanceof EvaluationError)) throw error;
    }
  }
  const values = new Values(bound);
  const manner = mannerOf(kind);
  const plain = arrangementOf(manner, plainValues(control, conditions));
  const around = aroundOf(parent, control, conditions);
  const css = declarations(values, manner, around, arrangementNow(manner, values, plain));
  return [...css].map(([name, value]) => `${name}: ${value}`).join('; ');
}

/** The faces that a project's texts are set in: of each family, the weights and slants that something asks for. */
function facesOf(project: Project): (face: Face) => boolean {
  const theme = themeOf(project);
  const families = new Set<string>([theme.family]);
  const weights = new Set<string>([400, theme.labelWeight, theme.captionWeight].map(String));
  let italic = false;
  for (const screen of project.screens)
    for (const control of walk(screen)) {
      for (const property of kindOf(control).properties) {
        const preset = defaultText(property, theme);
        if (property.name === weight.name && preset) weights.add(preset);
        if (property.name === font.name && preset) families.add(preset);
      }
      for (const [name, value] of Object.entries(control.props)) {
        const word = name.slice(name.lastIndexOf('.') + 1);
        const text = inForce(value) ?? '';
        if (word === 'font') families.add(text);
        // What an expression gives is not known beforehand.
        if (word === 'weight')
          for (const weight of hasExpression(text) ? fontWeights : [text]) weights.add(String(weight));
        if (word === 'italic' && text !== 'false') italic = true;
      }
    }
  return (face) => families.has(face.family) && weights.has(String(face.weight)) && (italic || !face.italic);
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
      key === 'span' ? [] : [[key, key === 'initial' ? value : withoutSpans(value)]],
    ),
  );
}

/** The page's script, the pieces that this page needs, and its program, which starts it. */
function scriptOf(project: Project, parts: ExportParts, program: Program): string {
  const needed = keysOf(pieces).filter((name) => pieces[name](project));
  return [
    parts.script.trimEnd(),
    ...needed.map((name) => parts.pieces[name].trimEnd()),
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

/** A page that works from any web server and opened from disk. */
export const html: Exporter = {
  id: 'html',
  label: 'A page',
  purpose: 'It works from any web server, and opened from disk.',
  contents: [
    ['index.html', 'All screens, with real labels, inputs and buttons'],
    ['style.css', 'Plain flexbox with one rule a control, changes in media queries'],
    ['script.js', 'State, bindings and events; no layout'],
    ['fonts/, assets/', 'The fonts in use and the pictures'],
  ],
  files: (project, parts) => sharingBudget(() => exported(project, parts)),
};

/**
 * The element of a screen. All screens are on the page, so that it works without its script: its address says which one is
 * seen (CSS Selectors 4 §8.2, `:target`), without one it is the first. A dialog has no address; it waits in a template.
 */
function screenElement(screen: Control, isStart: boolean, elements: Elements): TreeElement {
  const made = elementTree(screen, elements);
  const address = addressOf(screen);
  if (isDialog(screen) && !isStart)
    return { tag: 'template', attributes: [['data-screen', address]], inside: [made] };
  const attributes: TreeElement['attributes'] = [
    ...made.attributes,
    ['id', address],
    ...(isStart ? [] : [['hidden', true] as const]),
  ];
  return { ...made, attributes };
}

function exported(project: Project, parts: ExportParts): Exported {
  const wanted = facesOf(project);
  const start = startScreen(project);
  // The page's own media queries decide about bands and orientations; here is what holds where none of them says otherwise.
  const conditions = { prefixes: [''], theme: themeOf(project) };
  const circumstances = { bands: [], width: 0, height: 0, ...conditions, scope: initialScope(project) };
  const elements = {
    circumstances,
    assets: project.assets,
    styleOf: (control: Control, parent: Control | undefined, scope: Scope) =>
      initialStyle(project, control, parent, scope, conditions),
  };
  const body = project.screens.map((screen) => screenElement(screen, screen === start, elements));
  const html = `<!doctype html>
<html lang="en"${parts.rightToLeft ? ' dir="rtl"' : ''}>
  <head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
    <title>${escapeText(start ? titleOf(start) : project.name)}</title>
    <link rel="icon" href="data:,">
    <link rel="stylesheet" href="style.css">
    <script src="script.js" defer></script>
  </head>
  <body>
${body.map((element) => `${htmlOf(element, '    ')}\n`).join('')}  </body>
</html>
`;
  const program = programOf(project);
  return {
    files: new Map([
      ['index.html', html],
      ['style.css', stylesheet(project, fontFaceRules(parts.fonts, 'fonts/', wanted))],
      ['script.js', scriptOf(project, parts, program)],
      ...tableFiles(project, program, parts),
    ]),
    fonts: [...new Set(parts.fonts.files.filter(wanted).map((file) => `${file.file}.woff2`))],
    assets: project.assets.map((asset) => asset.name),
  };
}
