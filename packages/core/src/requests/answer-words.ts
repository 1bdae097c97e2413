/** A shape in words, for those who build with it: `a list of records: guest text, people number`. */
import type { AnswerShape, ShapeType } from '../document/answer-shape.ts';

const words: Readonly<Record<ShapeType, string>> = {
  string: 'text',
  number: 'number',
  integer: 'number',
  boolean: 'yes / no',
  object: 'record',
  array: 'list',
  null: 'nothing',
};

const mostNamed = 12;

/** One value in a word or two. */
function shortly({ type, format, items }: AnswerShape): string {
  if (type === undefined) return 'anything';
  const types = typeof type === 'string' ? [type] : type;
  return types
    .map((each) =>
      each === 'string' && format === 'date' ? 'date' : each === 'array' && items ? 'list' : words[each],
    )
    .join(' or ');
}

export function shapeWords(shape: AnswerShape): string {
  const row = shape.items ?? shape;
  const named = Object.entries(row.properties ?? {});
  const front = shape.items ? `a list of ${shortly(row)}s` : `a ${shortly(shape)}`;
  if (named.length === 0) return shape.type === undefined ? 'anything' : front;
  const list = named.slice(0, mostNamed).map(([name, each]) => `${name} ${shortly(each)}`);
  const more = named.length - mostNamed;
  return `${front}: ${list.join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
}
