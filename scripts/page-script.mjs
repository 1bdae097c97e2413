/**
 * Leaves behind what a running page does not ask for when its script is bundled: of the kinds of controls all but what is
 * made anew while it runs, of the types of properties the sentences about what is wrong.
 */
import { readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';

/** What a page does not ask of a property type: what it says of itself. */
const ofTypes = new Set([
  'expects',
  'words',
  'field',
  'steps',
  'beginnings',
  'blank',
  'refers',
  'ranged',
  'keywords',
  'takes',
  'colours',
]);

const nameOf = ({ key }) => key?.name ?? key?.value;
/** A file's code with some stretches replaced, `[start, end, text]` each; none lies in another. */
const replaced = (code, stretches) =>
  stretches
    .toSorted((a, b) => b[0] - a[0])
    .reduce((rest, [start, end, text]) => rest.slice(0, start) + text + rest.slice(end), code);

const effects = new Set(['CallExpression', 'NewExpression', 'SpreadElement', 'MemberExpression']);

/** Whether something may happen as an expression is worked out, for all that a bundler knows. */
const mayAct = (node) =>
  node !== null &&
  typeof node === 'object' &&
  !/Function/.test(node.type) &&
  (effects.has(node.type) || Object.values(node).flat().some(mayAct));

/** Constants that nothing reads are left out by the bundler once it may take them for free of effects. */
function freeOfEffects(code, Parser) {
  const { body } = Parser.parse(code, { ecmaVersion: 'latest', sourceType: 'module' });
  const constants = body
    .map((statement) => statement.declaration ?? statement)
    .filter(({ type, kind }) => type === 'VariableDeclaration' && kind === 'const')
    .flatMap(({ declarations }) => declarations)
    .filter(({ init }) => mayAct(init));
  return replaced(
    code,
    constants.map(({ init: { start, end } }) => [
      start,
      end,
      `/* @__PURE__ */ (() => (${code.slice(start, end)}))()`,
    ]),
  );
}

/** Members of some object literals, with the comma behind them, as stretches to take out. */
const members = (code, objects, isOut) =>
  objects.flatMap(({ properties }) =>
    properties.filter(isOut).map(({ start, end }) => {
      const comma = /^\s*,/.exec(code.slice(end))?.[0].length ?? 0;
      return [start, end + comma, ''];
    }),
  );

/** Makers of property types whose second argument says what the type expects. */
const makers = new Set(['numberType', 'wholeType', 'sidesType', 'trackType', 'momentType']);

/** Whether a node is a sentence: words with a full stop. */
function isSentence({ type, value, quasis }) {
  const text =
    type === 'Literal'
      ? value
      : type === 'TemplateLiteral'
        ? quasis.map((part) => part.value.raw).join('x')
        : '';
  return typeof text === 'string' && /\w \w.*\.$/s.test(text);
}

/**
 * What reads values of properties, without the sentences about what is wrong and without texts in canonical form: a page
 * takes values, and has a sentence of its own for one that does not fit.
 */
function slimReading(code, Parser) {
  const program = Parser.parse(code, { ecmaVersion: 'latest', sourceType: 'module' });
  const cuts = [];
  const visit = (node) => {
    if (node === null || typeof node !== 'object') return;
    const called = node.type === 'CallExpression' ? node.callee.name : undefined;
    if (called === 'good' || called === 'bad') {
      const [first] = node.arguments;
      cuts.push([first.end, node.arguments.at(-1).end, '']);
      visit(first);
      return;
    }
    // What a look's text is held against stays behind: it was held against it before.
    if (called === 'textual') {
      const [name, about] = node.arguments;
      cuts.push([about.start, node.arguments.at(-1).end, '{}, () => true']);
      visit(name);
      return;
    }
    // What a range is said to be stays behind, and which tokens may stand in its place.
    if (called === 'ranged') {
      const [, expects, range, ...rest] = node.arguments;
      cuts.push([expects.start, expects.end, "''"]);
      if (rest.length > 0) cuts.push([range.end, rest.at(-1).end, '']);
      return;
    }
    if (makers.has(called) && node.arguments[1]?.type === 'Literal') {
      cuts.push([node.arguments[1].start, node.arguments[1].end, "''"]);
      // Behind what is allowed stands how the interface steps through it.
      const [, , allows, ...rest] = node.arguments;
      if (rest.length > 0) cuts.push([allows.end, rest.at(-1).end, '']);
    }
    // Nothing on a page is called by a word of JavaScript: what names it says was checked before.
    if (node.type === 'VariableDeclarator' && node.id.name === 'reserved') {
      cuts.push([node.init.start, node.init.end, 'new Set()']);
      return;
    }
    if (isSentence(node)) {
      cuts.push([node.start, node.end, "'!'"]);
      return;
    }
    if (node.type === 'VariableDeclarator' && node.id.name === 'bad') {
      cuts.push([node.init.start, node.init.end, "() => ({ ok: false, message: '!' })"]);
      return;
    }
    if (node.type === 'ObjectExpression') {
      const isOut = (member) => ofTypes.has(nameOf(member));
      cuts.push(...members(code, [node], isOut));
      for (const member of node.properties) if (!isOut(member)) visit(member);
      return;
    }
    for (const value of Object.values(node)) (Array.isArray(value) ? value : [value]).forEach(visit);
  };
  visit(program);
  return replaced(code, cuts);
}

/**
 * The kinds that have a manner, each with its file, and whether something of it is made anew while a page runs.
 *
 * @param folder of the kinds.
 */
export async function mannersIn(folder) {
  const esbuild = await import('esbuild');
  const catalogue = await readFile(join(folder, 'catalogue.ts'), 'utf8');
  const files = [...catalogue.matchAll(/^import \{ (\w+) \} from '(\.\/[\w-]+\.ts)';$/gm)].map(
    ([, kind, path]) => ({ kind, path }),
  );
  const asked = files.map(
    ({ kind, path }, at) => `import * as file${at} from '${path}';
found.push({ ...(({ name, manner }) => ({ name, manner }))(file${at}.${kind}), own: file${at}.manner, path: '${path}' });`,
  );
  const { outputFiles } = await esbuild.build({
    stdin: { contents: `const found = []; export default found;\n${asked.join('\n')}`, resolveDir: folder },
    bundle: true,
    write: false,
    format: 'esm',
    platform: 'node',
    logLevel: 'warning',
    // Kinds that say nothing special have no manner.
    logOverride: { 'import-is-undefined': 'silent' },
  });
  const { text } = outputFiles[0];
  const { default: found } = await import(
    `data:text/javascript;base64,${Buffer.from(text).toString('base64')}`
  );
  const withManner = found.filter(({ manner }) => manner);
  const hidden = withManner.find(({ manner, own }) => manner !== own);
  if (hidden) throw new Error(`${hidden.path} has to export the manner of its kind by the name \`manner\`.`);
  return withManner.map(({ name, manner, path }) => ({ name, path, isMadeAnew: manner.anew !== undefined }));
}

/**
 * What stands in place of `kinds/on-page.ts` in the page's script: the manners of the kinds in the catalogue, each imported
 * by itself, so that the bundler leaves the rest of the kinds behind. Kinds of which something is made anew are pieces.
 */
async function mannersAlone(folder) {
  const plain = (await mannersIn(folder)).filter(({ isMadeAnew }) => !isMadeAnew);
  return `${plain.map(({ path }, at) => `import { manner as m${at} } from '${path}';`).join('\n')}
export const manners = new Map([${plain.map(({ name }, at) => `['${name}', m${at}]`).join(', ')}]);`;
}

/** What a page asks of an action; all else is said to those who write events. */
const ofActions = new Set(['name', 'act', 'waits', 'alter', 'hides']);

/** Actions without all but what they do. */
function slimActions(code, Parser) {
  const { body } = Parser.parse(code, { ecmaVersion: 'latest', sourceType: 'module' });
  const written = body
    .flatMap(({ declaration }) => declaration?.declarations ?? [])
    .flatMap(({ init }) => (init?.type === 'ObjectExpression' ? init : []));
  return replaced(
    code,
    members(code, written, (each) => !ofActions.has(nameOf(each))),
  );
}

/** Functions that make a property, with the place of its name among what they are given; `-1`: it is `value`. */
const propertyMakers = new Map([
  ['laidOut', 1],
  ['content', 0],
  ['words', 0],
  ['inputAttribute', 0],
  ['gaugeNumber', 0],
  ['known', 0],
  ['entered', -1],
]);

/** Whether an object literal is a property of a kind. */
const isProperty = ({ type, properties }) =>
  type === 'ObjectExpression' &&
  ['name', 'label', 'group', 'type'].every((name) => properties.some((each) => nameOf(each) === name));

/** Properties of kinds without all but their names: a page reads values by them, and knows nothing else of them. */
function slimProperties(code, Parser) {
  const cuts = [];
  const visit = (node) => {
    if (node === null || typeof node !== 'object') return;
    const called = node.type === 'CallExpression' ? node.callee.name : undefined;
    if (node.type === 'Property' && nameOf(node) === 'panes') {
      // Which pane is shown alone is said by the page's attributes and its stylesheet.
      cuts.push([node.start, node.end, 'panes: true']);
      return;
    }
    if (called === 'property' && isProperty(node.arguments[0])) {
      const name = node.arguments[0].properties.find((each) => nameOf(each) === 'name').value;
      cuts.push([node.start, node.end, `{ name: ${code.slice(name.start, name.end)} }`]);
      return;
    }
    if (isProperty(node)) {
      cuts.push(...members(code, [node], (each) => nameOf(each) !== 'name'));
      return;
    }
    const place = propertyMakers.get(called);
    const name = place === undefined ? undefined : place < 0 ? "'value'" : node.arguments[place]?.raw;
    if (name !== undefined) {
      cuts.push([node.start, node.end, `{ name: ${name} }`]);
      return;
    }
    for (const value of Object.values(node)) (Array.isArray(value) ? value : [value]).forEach(visit);
  };
  visit(Parser.parse(code, { ecmaVersion: 'latest', sourceType: 'module' }));
  return replaced(code, cuts);
}

export const slimPage = {
  name: 'page-script',
  async setup(build) {
    // Not before they are installed: whoever builds may have to do that first.
    const { Parser } = await import('acorn');
    const esbuild = await import('esbuild');
    const onLoad = (filter, slim) =>
      build.onLoad({ filter }, async ({ path }) => {
        const source = await readFile(path, 'utf8');
        const { code } = await esbuild.transform(source, { loader: 'ts', target: 'es2023' });
        return { contents: freeOfEffects(slim(code), Parser), loader: 'js' };
      });
    build.onLoad({ filter: /core\/src\/kinds\/on-page\.ts$/ }, async ({ path }) => ({
      contents: await mannersAlone(dirname(path)),
      loader: 'js',
      resolveDir: dirname(path),
    }));
    onLoad(/core\/src\/(?:values\/track-list|document\/names|property-types\/[^/]+)\.ts$/, (code) =>
      slimReading(code, Parser),
    );
    // A page knows tokens as custom properties; of others it has what they come to in its program.
    onLoad(
      /core\/src\/tokens\/reading\.ts$/,
      () =>
        'export const readWithTokens = (type, text) => type.read(text); export const withValues = (type, text) => text;',
    );
    onLoad(/core\/src\/expression\/actions\/.+\.ts$/, (code) => slimActions(code, Parser));
    onLoad(/core\/src\/kinds\/.+\.ts$/, (code) => slimProperties(code, Parser));
    onLoad(/core\/src\/.+\.ts$/, (code) => code);
    // A library in one file, with constants that most of it is not asked for.
    build.onLoad({ filter: /d3-array\/dist\/[^/]+\.mjs$/ }, async ({ path }) => ({
      contents: freeOfEffects(await readFile(path, 'utf8'), Parser),
      loader: 'js',
    }));
  },
};
