/**
 * What a running page needs of the kinds of controls: their elements and their properties. How they are laid out, what
 * they are found by and their stylesheets stay behind when the page's script is bundled.
 */
import { readFile } from 'node:fs/promises';

/** What a page does not ask of a kind. */
const ofKinds = new Set([
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

/** What a page does not ask of a property: what it is called where one builds, and where it matters. */
const ofProperties = new Set(['label', 'group', 'onlyIn', 'notIn', 'perBand', 'effect', 'plainChanges']);

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

const isProperty = ({ properties }) =>
  properties.some((property) => nameOf(property) === 'type') &&
  properties.some((property) => nameOf(property) === 'group');

/** JavaScript without what stays behind. */
function withoutLayout(code, Parser) {
  const program = Parser.parse(code, { ecmaVersion: 'latest', sourceType: 'module' });
  const objects = [...objectsIn(program)];
  const cutFrom = (those, names) =>
    objects
      .filter(those)
      .flatMap(({ properties }) => properties.filter((property) => names.has(nameOf(property))));
  const cuts = [...new Set([...cutFrom(isKind, ofKinds), ...cutFrom(isProperty, ofProperties)])];
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
