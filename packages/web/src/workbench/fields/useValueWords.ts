/** The words that a property knows: those of its type, names of screens, of tokens, of styles. */
import { type Property, styleNames, themeOf, tokenName } from '@hovrin/core';
import { useEditorState } from '../../editor/context.tsx';

export function useValueWords({ type }: Pick<Property, 'type'>): readonly string[] {
  const { project } = useEditorState('project');
  const { tokens, styles } = themeOf(project);
  const own = new Set(project.tokens?.map(({ path }) => tokenName(path)));
  const words =
    type.refers?.to === 'screen' ? project.screens.flatMap((screen) => screen.name ?? []) : type.words;
  return [
    ...words,
    ...(type.name === 'styles' ? [...styles.named.keys()] : []),
    // Those that ship are offered where it is for nothing else that they are there: colours.
    ...[...tokens.values()].flatMap((token) =>
      type.takes?.includes(token.type) && own.has(token.name) ? token.name : [],
    ),
  ];
}

/** Another press on a style takes it away: a control may have several. */
export function toggledStyle(value: string, word: string): string {
  const held = styleNames(value);
  return (held.includes(word) ? held.filter((each) => each !== word) : [...held, word]).join(' ');
}
