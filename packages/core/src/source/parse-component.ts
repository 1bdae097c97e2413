/** A component's text as a document: what it declares is known to what stands in it, wherever in the text that is. */
import type { Control } from '../document/types.ts';
import { insideComponent } from '../meaning/component-context.ts';
import { definitionOf } from '../reuse/definition.ts';
import { type Parsed, type ParseOptions, parseScreen } from './parse.ts';

/**
 * Reads a component.
 *
 * @param options `context` with the project's components, as far as they are known; its own one may be an older version.
 */
export function parseComponent(text: string, options: Omit<ParseOptions, 'list'>): Parsed {
  const { context } = options;
  const first = parseScreen(text, {
    ...options,
    list: 'components',
    context: { ...context, namesKnown: false },
  });
  if (!first.ok || !context.namesKnown) return first;
  const others = (context.components ?? []).filter(({ name }) => name !== first.screen.name);
  const components: readonly Control[] = [...others, first.screen];
  const around = insideComponent({ ...context, components }, definitionOf(first.screen));
  return parseScreen(text, { ...options, list: 'components', context: around });
}
