/**
 * What a running page needs of the kinds of controls: their elements and their properties. How they are laid out, what
 * they are found by and their stylesheets stay behind when the page's script is bundled.
 */
import { readFile } from 'node:fs/promises';

const leftBehind = new Set([
  'inside',
  'css',
  'sharedCss',
  'purpose',
  'findBy',
  'starter',
  'starterIn',
  'starterChildren',
  'confines',
]);

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

/** JavaScript without what stays behind. */
function withoutLayout(code, Parser) {
  const program = Parser.parse(code, { ecmaVersion: 'latest', sourceType: 'module' });
  const cuts = [...objectsIn(program)]
    .filter(isKind)
    .flatMap(({ properties }) => properties.filter((property) => leftBehind.has(nameOf(property))));
  let rest = code;
  for (const { start, end } of cuts.toSorted((a, b) => b.start - a.start))
    rest = rest.slice(0, start) + rest.slice(end).replace(/^\s*,/, '');
  return rest;
}

export const pageKinds = {
  name: 'page-kinds',
  async setup(build) {
    // Not before they are installed: whoever builds may have to do that first.
    const { Parser } = await import('acorn');
    const { transform } = await import('esbuild');
    build.onLoad({ filter: /core\/src\/kinds\/[^/]+\.ts$/ }, async ({ path }) => {
      const { code } = await transform(await readFile(path, 'utf8'), { loader: 'ts', target: 'es2023' });
      return { contents: withoutLayout(code, Parser), loader: 'js' };
    });
  },
};
