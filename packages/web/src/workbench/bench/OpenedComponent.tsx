/** What one edits when a component is open: where else that shows, whether one sees what is around it, and the way back. */
import { type Control, definitionsOf, kindOf, screensWith, treeOfId, usesOfComponent } from '@hovrin/core';
import { CornerUpLeft } from 'lucide-react';
import { useEffect } from 'react';
import { leaveComponent } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { Editor } from '../../editor/editor.ts';
import { standsAt } from '../../editor/inPlace.ts';
import type { InPlace } from '../../editor/view.ts';
import { useGoTo } from '../../parts/useGoTo.ts';

const manyOf = (count: number, one: string): string => `${count} ${count === 1 ? one : `${one}s`}`;

/** Where a component is edited, was edited last, or stands first; undefined: nowhere. */
function placeFor({ state, held }: Editor, component: Control): InPlace | undefined {
  const { project, inPlace } = state;
  if (inPlace) return inPlace;
  const before = held.get(`place of ${component.id}`) as InPlace | undefined;
  if (before && standsAt(project, component.id, before)) return before;
  const [first] = usesOfComponent(project, component.name ?? '');
  return first && { tree: first.screen.id, at: first.control.id };
}

export function OpenedComponent({ component }: { component: Control }) {
  const { editor } = useWorkplace();
  const { project, inPlace } = useEditorState('project', 'inPlace');
  const goTo = useGoTo();
  useEffect(() => {
    if (inPlace) editor.held.set(`place of ${component.id}`, inPlace);
  }, [editor, component.id, inPlace]);
  if (kindOf(component).root !== 'components') return null;
  const name = component.name ?? '';
  const uses = usesOfComponent(project, name);
  const screens = screensWith(project, name);
  const definition = definitionsOf(project).get(name);
  const place = placeFor(editor, component);
  const around = place && treeOfId(project, place.tree);
  return (
    <section
      aria-label="Opened component"
      className="mr-5 flex min-h-8 items-center gap-2 rounded-sm border border-rule bg-sheet px-2"
    >
      {inPlace && (
        <button
          type="button"
          className="btn-bare !h-6"
          title="Back to the instance (Esc)"
          aria-label="Back to the instance"
          onClick={() => leaveComponent(editor)}
        >
          <CornerUpLeft size={14} aria-hidden />
        </button>
      )}
      <span className="shrink-0 font-semibold">{name}</span>
      {uses.length === 0 ? (
        <span className="min-w-0 truncate text-[12px] text-quiet">stands nowhere yet</span>
      ) : (
        <button
          type="button"
          className="min-w-0 truncate rounded-sm border-b border-dotted border-spruce text-[12px] text-spruce hover:bg-saffron/25"
          title={`What you change here changes on ${screens.map((each) => each.name).join(', ')}. Press to see all of them on the wall`}
          onClick={() => goTo('wall', `?component=${encodeURIComponent(name)}`)}
        >
          {definition?.isSurround ? 'around' : `in ${manyOf(uses.length, 'place')} on`}{' '}
          {manyOf(screens.length, 'screen')}
        </button>
      )}
      <span className="ml-auto flex shrink-0 items-center gap-1">
        {around && place && (
          <fieldset className="flex overflow-hidden rounded-sm border border-rule">
            <legend className="sr-only">What is around it</legend>
            {[
              { label: `On ${around.name}`, at: place },
              { label: 'Alone', at: undefined },
            ].map(({ label, at }) => (
              <button
                key={label}
                type="button"
                aria-pressed={(inPlace === undefined) === (at === undefined)}
                className="h-6 px-2 text-[12px] hover:bg-sunk aria-pressed:bg-sunk aria-pressed:font-semibold"
                onClick={() => editor.showScreen(component.id, at)}
              >
                {label}
              </button>
            ))}
          </fieldset>
        )}
      </span>
    </section>
  );
}
