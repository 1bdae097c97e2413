/** The direction of a container, beside the heading of its section: three signs, one pressed. */
import { type Control, kindIn, type Property } from '@hovrin/core';
import { Columns3, LayoutGrid, Rows3 } from 'lucide-react';
import type { ReactElement } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { shownValue } from '../fields/shownValue.ts';

const signs: Readonly<Record<string, ReactElement>> = {
  row: <Columns3 size={15} aria-hidden />,
  column: <Rows3 size={15} aria-hidden />,
  grid: <LayoutGrid size={15} aria-hidden />,
};

/** The property that says it, where it can be said of a control and all that it takes has a sign. */
export function likeOf(properties: readonly Property[]): Property | undefined {
  const like = properties.find(({ name }) => name === 'like');
  return like?.type.words.every((word) => word in signs) ? like : undefined;
}

export function LikeChoice({ control, name }: { control: Control; name: string }) {
  const { editor } = useWorkplace();
  const { project, scope } = useEditorState('project', 'scope');
  const like = likeOf(kindIn(project, control).properties);
  if (!like) return null;
  const { attribute, inForce, elsewhere, bound } = shownValue(project, [control], like, scope);
  const now = inForce || elsewhere;
  return (
    <fieldset aria-label="Arranges like a" className="flex gap-px rounded-[3px] border border-edge bg-rule">
      {like.type.words.map((word) => (
        <button
          key={word}
          type="button"
          aria-label={word}
          aria-pressed={now === word}
          disabled={bound}
          title={bound ? 'It follows an expression, set in its field' : `Like a ${word}`}
          className={`grid h-6 w-7 place-items-center ${now === word ? 'bg-spruce text-on-spruce' : 'bg-sheet hover:bg-sunk'}`}
          onClick={() =>
            now !== word &&
            editor.dispatch({
              label: `Arrange ${name} like a ${word}`,
              steps: [
                {
                  type: 'set',
                  control: control.id,
                  property: attribute,
                  value: word === elsewhere ? null : word,
                },
              ],
            })
          }
        >
          {signs[word]}
        </button>
      ))}
    </fieldset>
  );
}
