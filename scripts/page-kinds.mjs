/**
 * What a running page needs of the kinds of controls: how the elements of those are made whose inside changes while it
 * runs. Their properties, how they are laid out, what they are found by and their stylesheets stay behind when the page's
 * script is bundled; the program says which type takes what.
 */
import { readFile } from 'node:fs/promises';

/** What a page asks of a kind: its name, and how its element is made and its size said while the page runs. */
const ofKinds = new Set(['name', 'element', 'declares', 'ownSized']);

/** What a page does not ask of a property type: what it says of itself. */
const ofTypes = new Set(['expects', 'words']);

/** Object literals below a node of a parsed file. */
function* objectsIn(node) {
  if (node === null || typeof node !== 'object') return;
  if (node.type === 'ObjectExpression') yield node;
  for (const value of Object.values(node))
    if (Array.isArray(value)) for (const each of value) yield* objectsIn(each);
    else if (value && typeof value === 'object') yield* objectsIn(value);
}

const nameOf = ({ key }) => key?.name ?? key?.value;
const isKind = ({ properties }) =>
  properties.some((property) => nameOf(property) === 'purpose') ||
  (properties.some((property) => nameOf(property) === 'element') &&
    properties.some((property) => nameOf(property) === 'inside'));

/** A file's code with some stretches replaced, `[start, end, text]` each; none lies in another. */
const replaced = (code, stretches) =>
  stretches
    .toSorted((a, b) => b[0] - a[0])
    .reduce((rest, [start, end, text]) => rest.slice(0, start) + text + rest.slice(end), code);

/** Constants that nothing reads are left out by the bundler once it may take them for free of effects. */
function freeOfEffects(code, Parser) {
  const { body } = Parser.parse(code, { ecmaVersion: 'latest', sourceType: 'module' });
  const constants = body
    .map((statement) => statement.declaration ?? statement)
    .filter(({ type, kind }) => type === 'VariableDeclaration' && kind === 'const')
    .flatMap(({ declarations }) => declarations)
    .filter(({ init }) => !/^(?:Literal|ArrowFunctionExpression|FunctionExpression)$/.test(init.type));
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

/** @param madeAnew names of the kinds whose inside is made anew while a page runs. */
function slimKind(code, Parser, madeAnew) {
  const program = Parser.parse(code, { ecmaVersion: 'latest', sourceType: 'module' });
  const kinds = [...objectsIn(program)].filter(isKind);
  const isOut = (properties) => {
    const name = properties.find((property) => nameOf(property) === 'name')?.value?.value;
    const stays = (member) =>
      member.type === 'SpreadElement' ||
      (ofKinds.has(nameOf(member)) &&
        (nameOf(member) !== 'element' || name === undefined || madeAnew.has(name)));
    return (member) => !stays(member);
  };
  return replaced(
    code,
    kinds.flatMap((kind) => members(code, [kind], isOut(kind.properties))),
  );
}

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
 * takes values, and says in general that one does not fit.
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
    if (makers.has(called) && node.arguments[1]?.type === 'Literal')
      cuts.push([node.arguments[1].start, node.arguments[1].end, "''"]);
    if (isSentence(node)) {
      cuts.push([node.start, node.end, "'This does not fit.'"]);
      return;
    }
    if (node.type === 'VariableDeclarator' && node.id.name === 'bad') {
      cuts.push([
        node.init.start,
        node.init.end,
        "(text) => ({ ok: false, message: text + ' does not fit.' })",
      ]);
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

/** The kinds with parts that are made anew while a page runs, as the catalogue has them. */
async function kindsMadeAnew(esbuild, root) {
  const { outputFiles } = await esbuild.build({
    entryPoints: ['packages/core/src/kinds/catalogue.ts'],
    absWorkingDir: root,
    bundle: true,
    format: 'esm',
    platform: 'node',
    write: false,
    logLevel: 'warning',
  });
  const { kinds } = await import(
    `data:text/javascript;base64,${Buffer.from(outputFiles[0].contents).toString('base64')}`
  );
  const isAnew = ({ page }) => page?.as === 'inside' || page?.as === 'sort';
  return new Set(kinds.filter(({ properties }) => properties.some(isAnew)).map(({ name }) => name));
}

export const pageKinds = {
  name: 'page-kinds',
  async setup(build) {
    // Not before they are installed: whoever builds may have to do that first.
    const { Parser } = await import('acorn');
    const esbuild = await import('esbuild');
    const madeAnew = await kindsMadeAnew(esbuild, build.initialOptions.absWorkingDir);
    const onLoad = (filter, slim) =>
      build.onLoad({ filter }, async ({ path }) => {
        const source = await readFile(path, 'utf8');
        const { code } = await esbuild.transform(source, { loader: 'ts', target: 'es2023' });
        return { contents: freeOfEffects(slim(code), Parser), loader: 'js' };
      });
    onLoad(/core\/src\/kinds\/[^/]+\.ts$/, (code) => slimKind(code, Parser, madeAnew));
    onLoad(/core\/src\/document\/(?:property-types|track-list|names)\.ts$/, (code) =>
      slimReading(code, Parser),
    );
    // A library in one file, with constants that most of it is not asked for.
    build.onLoad({ filter: /d3-array\/dist\/[^/]+\.mjs$/ }, async ({ path }) => ({
      contents: freeOfEffects(await readFile(path, 'utf8'), Parser),
      loader: 'js',
    }));
  },
};
