/** What is done with the look of the selected controls: made a style, or put into one that they have. */
import {
  type Control,
  effectiveNames,
  freshName,
  intoStyle,
  locate,
  propertyOf,
  sharedValues,
  styledValues,
  styleNames,
  themeOf,
} from '@hovrin/core';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { MakeStyle } from './MakeStyle.tsx';

/** Sizes and places belong to one control; a look is what is left. */
const ofOne: ReadonlySet<string> = new Set([
  'width',
  'height',
  'min-width',
  'max-width',
  'min-height',
  'max-height',
  'aspect',
  'margin',
  'align-self',
  'justify-self',
  'hidden',
  'columns',
  'rows',
]);

const lookOf = (values: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(Object.entries(values).filter(([attribute]) => !ofOne.has(propertyOf(attribute))));

export function StyleButtons({ controls }: { readonly controls: readonly [Control, ...Control[]] }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [first] = controls;
  const [making, setMaking] = useState(false);
  const shared = lookOf(sharedValues(controls));
  const { styles } = themeOf(project);
  const count = Object.keys(shared).length;
  const own = controls.length === 1 ? lookOf(styledValues(first)) : {};
  const held = styleNames(typeof first.props.style === 'string' ? first.props.style : '').flatMap(
    (name) => styles.named.get(name) ?? [],
  );
  const into = held.at(-1);
  if (count === 0) return null;
  const found = locate(project, first.id);
  const wanted = (found && effectiveNames(found.screen).get(first.id)) ?? 'look';
  const isTaken = (each: string) => styles.named.has(each);
  return (
    <div className="ml-[92px] flex flex-wrap gap-1 py-0.5">
      <button
        type="button"
        className="btn !h-6 text-[12px]"
        title={Object.entries(shared)
          .map(([attribute, text]) => `${attribute} = ${text}`)
          .join('\n')}
        onClick={() => setMaking(true)}
      >
        {controls.length === 1 ? 'Make a style of it …' : 'Make a style of what they share …'}
      </button>
      {making && (
        <MakeStyle
          controls={controls}
          values={shared}
          wanted={isTaken(wanted) ? freshName(wanted, isTaken) : wanted}
          onClose={() => setMaking(false)}
        />
      )}
      {into && Object.keys(own).length > 0 && (
        <button
          type="button"
          className="btn !h-6 text-[12px]"
          title={`All that have ${into.name} follow; this control says it no more`}
          onClick={() =>
            editor.dispatch({
              label: `Put the look into the style ${into.name}`,
              steps: intoStyle(first, into, Object.keys(own)),
              exact: true,
            })
          }
        >
          Into the style {into.name}
        </button>
      )}
    </div>
  );
}
