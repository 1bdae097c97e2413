/** What a component declares: parameters, variables of its own, events; and where it stands. */
import {
  type Control,
  type Definition,
  definitionOf,
  effectiveNames,
  entryOf,
  freeName,
  readsOf,
  usesOfComponent,
} from '@hovrin/core';
import { Plus } from 'lucide-react';
import { newId } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useGoTo } from '../../parts/useGoTo.ts';
import { KindIcon } from '../KindIcon.tsx';

const sorts = [
  ['parameter', 'Parameters', 'value', 'What each instance is given'],
  ['variable', 'Own variables', 'held', 'What each instance keeps for itself'],
  ['event', 'Events', 'done', 'What an instance tells'],
  ['case', 'Cases', 'usual', 'Sample values that it is looked at with'],
] as const;

const linesOf = (
  definition: Definition,
  sort: (typeof sorts)[number][0],
): readonly { name: string; control: Control }[] => {
  const { parameters: parameter, variables: variable, events: event, cases } = definition;
  return [...{ parameter, variable, event, case: cases }[sort].values()];
};

export function ComponentFacts({ component }: { component: Control }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const definition = definitionOf(component);
  const goTo = useGoTo();
  const uses = usesOfComponent(project, component.name ?? '');
  const reads = readsOf(project, component);
  const add = (sort: (typeof sorts)[number][0], stem: string) => {
    const { parameters, variables, events, cases } = definition;
    const taken = [parameters, variables, events, cases];
    const name = freeName(stem, (each) => taken.some((names) => names.has(each)));
    const line: Control = { id: newId(), kind: sort, props: { name }, children: [] };
    const index = component.children.findLastIndex(({ kind }) => kind === sort) + 1;
    const done = editor.dispatch({
      label: `Add the ${sort} ${name}`,
      steps: [{ type: 'insert', parent: component.id, index, control: line }],
      select: [line.id],
    });
    if (done) editor.setTyping({ control: line.id, what: 'name' });
  };
  return (
    <>
      {sorts.map(([sort, words, stem, hint]) => (
        <section key={sort} className="border-t border-rule px-3 py-1.5" aria-label={words}>
          <div className="flex h-7 items-center justify-between">
            <h3 className="font-semibold" title={hint}>
              {words}
            </h3>
            <button
              type="button"
              className="btn-bare"
              aria-label={`Add to ${words}`}
              title={hint}
              onClick={() => add(sort, stem)}
            >
              <Plus size={14} />
            </button>
          </div>
          {linesOf(definition, sort).map(({ name, control }) => (
            <button
              key={control.id}
              type="button"
              className="flex h-7 w-full items-center gap-2 rounded-sm text-left hover:bg-sunk"
              onClick={() => editor.select([control.id])}
            >
              <KindIcon kind={sort} />
              <span className="truncate font-mono text-[12px]">{name}</span>
              <span className="ml-auto truncate text-[12px] text-quiet">{about(control)}</span>
            </button>
          ))}
        </section>
      ))}
      {reads.length > 0 && (
        <section className="border-t border-rule px-3 py-1.5" aria-label="Of the project">
          <h3 className="flex h-7 items-center font-semibold">Of the project</h3>
          <p className="text-[12px] text-quiet">
            It reads or changes {reads.join(', ')}: where it is taken to another project, these go missing.
          </p>
        </section>
      )}
      <section className="border-t border-rule px-3 py-1.5" aria-label="Where it stands">
        <h3 className="flex h-7 items-center font-semibold">Where it stands</h3>
        {uses.length === 0 && <p className="text-quiet">Nowhere yet. It is in Parts, under Own.</p>}
        {uses.slice(0, mostShown).map(({ screen, control }) => (
          <button
            key={control.id}
            type="button"
            className="flex h-7 w-full items-center gap-2 rounded-sm text-left hover:bg-sunk"
            onClick={() => {
              editor.showScreen(screen.id);
              editor.select([control.id]);
            }}
          >
            <span className="truncate">{entryOf(effectiveNames(screen), control.id)}</span>
            <span className="ml-auto truncate text-[12px] text-quiet">on {screen.name}</span>
          </button>
        ))}
        {uses.length > 0 && (
          <button
            type="button"
            className="btn mt-1 !h-7"
            onClick={() => goTo('wall', `?component=${encodeURIComponent(component.name ?? '')}`)}
          >
            See them on the wall
          </button>
        )}
        {uses.length > mostShown && <p className="text-quiet">And {uses.length - mostShown} more.</p>}
      </section>
    </>
  );
}

const mostShown = 12;

/** The type of a declared value, and what it begins with. */
const about = ({ props }: Control): string =>
  [props.type, props.values, props.gives]
    .flatMap((value) => (typeof value === 'string' ? value : []))
    .slice(0, 1)
    .join();
