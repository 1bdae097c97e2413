/** The styles of the project: each with a specimen in its states, in their order; and looks that recur and could be styles. */
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import {
  dropping,
  effectiveNames,
  freshName,
  locate,
  makeStyle,
  type Project,
  propertyOf,
  putting,
  type RecurringLook,
  recurringLooks,
  type Style,
  statesOf,
  styleKey,
  styleNameProblem,
  stylesOfKind,
  unusedStyles,
  usesOfStyle,
} from '@hovrin/core';
import { GripVertical, Plus, Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { TypedField } from '../parts/TypedField.tsx';
import { stateWord } from '../workbench/scope.ts';
import { Specimen } from './Specimen.tsx';
import { StyleValues } from './StyleValues.tsx';
import { specimenProject, styleSpecimen } from './specimen.ts';

const trash = <Trash2 size={15} />;
const grip = <GripVertical size={14} aria-hidden />;

/** A name for a style that is free. */
export function freeStyleName({ styles = [] }: Project, wanted = 'look'): string {
  const isTaken = (name: string) => styles.some((style) => style.name === name);
  return isTaken(wanted) ? freshName(wanted, isTaken) : wanted;
}

export function Styles() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { styles = [] } = project;
  const unused = new Set(unusedStyles(project).map(styleKey));
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 3 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  /** A style in the place of another. */
  const move = (key: string, place: string | undefined) => {
    const keys = styles.map(styleKey);
    const [from, to] = [keys.indexOf(key), keys.indexOf(place ?? key)];
    if (from === to) return;
    const before = keys[to > from ? to + 1 : to] ?? null;
    editor.dispatch({
      label: `Move the style ${key}`,
      steps: [{ type: 'order', of: 'styles', key, before }],
      exact: true,
    });
  };
  return (
    <section aria-label="Styles" className="flex flex-col gap-3">
      <div className="flex items-end justify-between gap-4">
        <div>
          <h2 className="text-[15px] font-semibold">Styles</h2>
          <p className="text-quiet">
            Looks that controls have by name. Of several the lower one in this list wins; what a control says
            itself wins over all.
          </p>
        </div>
        <button
          type="button"
          className="btn btn-main"
          onClick={() =>
            editor.dispatch({
              label: 'Add a style',
              steps: [putting('styles', { name: freeStyleName(project), props: {} })],
              exact: true,
            })
          }
        >
          <Plus size={15} aria-hidden /> Add a style
        </button>
      </div>
      {styles.length === 0 && (
        <p className="rounded-md border border-dashed border-rule p-6 text-center text-quiet">
          There are no styles yet. Add one here, or make one of a control’s look in Build.
        </p>
      )}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => move(String(active.id), over ? String(over.id) : undefined)}
      >
        <SortableContext items={styles.map(styleKey)} strategy={verticalListSortingStrategy}>
          <ul className="flex flex-col gap-3">
            {styles.map((style) => (
              <StyleRow key={styleKey(style)} style={style} isUnused={unused.has(styleKey(style))} />
            ))}
          </ul>
        </SortableContext>
      </DndContext>
      <Recurring />
    </section>
  );
}

function StyleRow({ style, isUnused }: { readonly style: Style; readonly isUnused: boolean }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { setNodeRef, attributes, listeners, transform, isDragging } = useSortable({ id: styleKey(style) });
  const title = style.name ?? `All controls of kind ${style.for}`;
  const uses = style.name === undefined ? undefined : usesOfStyle(project, style.name);
  return (
    <li
      ref={setNodeRef}
      data-entity={`styles ${styleKey(style)}`}
      className={`flex gap-4 rounded-md border border-rule bg-sheet p-3 ${isDragging ? 'relative z-10 shadow-lg' : ''}`}
      style={transform ? { transform: `translateY(${transform.y}px)` } : undefined}
    >
      <button
        type="button"
        className="grid h-7 w-5 shrink-0 cursor-grab place-items-center text-quiet"
        {...attributes}
        {...listeners}
        aria-label={`Move ${title}: Space takes it, arrows move it`}
      >
        {grip}
      </button>
      <div className="flex min-w-0 flex-1 flex-col gap-1">
        <div className="flex items-center gap-2">
          {style.name === undefined ? (
            <span className="font-semibold">{title}</span>
          ) : (
            <StyleName style={style} />
          )}
          <span className="text-[12px] text-quiet">
            {isUnused
              ? 'nothing has it'
              : uses === undefined
                ? ''
                : `${uses} ${uses === 1 ? 'control' : 'controls'}`}
          </span>
          <span className="flex-1" />
          <button
            type="button"
            className="btn-bare text-quiet hover:text-brick"
            aria-label={`Delete ${title}`}
            onClick={() => {
              editor.dispatch({ label: `Delete ${title}`, steps: [dropping('styles', style)], exact: true });
              if (uses)
                editor.tell(
                  `${uses} ${uses === 1 ? 'control still names' : 'controls still name'} ${title}. Undo brings it back.`,
                );
            }}
          >
            {trash}
          </button>
        </div>
        <StyleValues style={style} />
      </div>
      <StyleSpecimens style={style} />
    </li>
  );
}

function StyleName({ style }: { readonly style: Style }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { name = '' } = style;
  const isTaken = (text: string) =>
    (project.styles ?? []).some((each) => each !== style && each.name === text);
  return (
    <span className="w-52">
      <TypedField
        label={`Name of the style ${name}`}
        kept={name}
        className="font-medium"
        problemOf={(text) => styleNameProblem(text) ?? (isTaken(text) ? 'This name is taken.' : undefined)}
        onText={(to) =>
          editor.dispatch({
            label: `Rename ${name} to ${to}`,
            steps: [{ type: 'rename', of: 'styles', key: name, to }],
            exact: true,
          })
        }
      />
    </span>
  );
}

/** A control with the style, as it is and in each state that the style speaks of. */
function StyleSpecimens({ style }: { readonly style: Style }) {
  const { project } = useEditorState('project');
  const { tokens, styles, bands } = project;
  const screen = useMemo(() => styleSpecimen(style.name, style.for), [style.name, style.for]);
  const shown = useMemo(
    () => specimenProject({ tokens, styles, bands } as Project, screen),
    [tokens, styles, bands, screen],
  );
  const kind = stylesOfKind(style.for);
  const states = kind
    ? statesOf(kind).filter((state) =>
        Object.keys(style.props).some((name) => propertyOf(name) !== name && name.includes(`${state}.`)),
      )
    : [];
  return (
    <div className="flex w-44 shrink-0 flex-col gap-1">
      {[undefined, ...states].map((state) => (
        <div key={state ?? ''}>
          {state && <p className="text-[12px] text-quiet">while {stateWord(state)}</p>}
          <Specimen
            project={shown}
            screen={screen}
            width={176}
            mode="light"
            label={`${style.name ?? style.for}${state ? `, ${state}` : ''}`}
            {...(state ? { state } : {})}
          />
        </div>
      ))}
    </div>
  );
}

/** Equal groups of own values across the project. */
function Recurring() {
  const { project } = useEditorState('project');
  const { screens } = project;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the looks of the screens, and nothing else.
  const looks = useMemo(() => recurringLooks(project), [screens]);
  if (looks.length === 0) return null;
  return (
    <div>
      <h3 className="font-semibold">Looks that recur</h3>
      <p className="text-[12px] text-quiet">Several controls say the same. As a style it is said once.</p>
      <ul className="mt-1 flex flex-col gap-1">
        {looks.slice(0, 6).map((look) => (
          <RecurringRow key={JSON.stringify(look.values)} look={look} />
        ))}
      </ul>
    </div>
  );
}

function RecurringRow({ look }: { readonly look: RecurringLook }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { values, controls, freed } = look;
  const counts = new Map<string, number>();
  for (const control of controls) {
    const found = locate(project, control.id);
    const name = (found && effectiveNames(found.screen).get(control.id)) ?? control.kind;
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  const told = [...counts]
    .slice(0, 4)
    .map(([name, count]) => (count > 1 ? `${name} on ${count} screens` : name));
  const more = counts.size > told.length ? ` and ${counts.size - told.length} more` : '';
  const make = () => {
    const kinds = new Set(controls.map(({ kind }) => kind));
    const [kind] = [...kinds];
    const name = freeStyleName(project, kinds.size === 1 && kind ? kind : 'look');
    editor.dispatch({
      label: `Make a style of ${controls.length} controls`,
      steps: makeStyle(controls, name, values, kinds.size === 1 ? kind : undefined),
      exact: true,
    });
  };
  return (
    <li className="flex items-center gap-3 rounded-md border border-rule px-3 py-1.5">
      <span className="min-w-0 flex-1">
        <span className="block truncate font-mono text-[12px]">
          {Object.entries(values)
            .map(([attribute, text]) => `${attribute}="${text}"`)
            .join(' ')}
        </span>
        <span className="block truncate text-[12px] text-quiet">
          {told.join(', ')}
          {more}
        </span>
      </span>
      <span className="shrink-0 text-[12px] text-quiet">
        {controls.length} controls, {freed} values less
      </span>
      <button type="button" className="btn" onClick={make}>
        Make it a style
      </button>
    </li>
  );
}
