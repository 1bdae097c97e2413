/** The styles of the project: each with a specimen in its states, in their order; and looks that recur and could be styles. */
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
import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { stateWord } from '../workbench/scope.ts';
import { Specimen } from './Specimen.tsx';
import { StyleValues } from './StyleValues.tsx';
import { specimenProject, styleSpecimen } from './specimen.ts';
import { TypedField } from './TypedField.tsx';

const trash = <Trash2 size={15} />;
const up = <ArrowUp size={14} />;
const down = <ArrowDown size={14} />;

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
      <ul className="flex flex-col gap-3">
        {styles.map((style, index) => (
          <StyleRow
            key={styleKey(style)}
            style={style}
            index={index}
            isUnused={unused.has(styleKey(style))}
          />
        ))}
      </ul>
      <Recurring />
    </section>
  );
}

function StyleRow({
  style,
  index,
  isUnused,
}: {
  readonly style: Style;
  readonly index: number;
  readonly isUnused: boolean;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { styles = [] } = project;
  const title = style.name ?? `All controls of kind ${style.for}`;
  const keyAt = (at: number) => {
    const found = styles[at];
    return found ? styleKey(found) : null;
  };
  const uses = style.name === undefined ? undefined : usesOfStyle(project, style.name);
  /** @param before the place of the style in front of which it stands then. */
  const moveTo = (before: number) =>
    editor.dispatch({
      label: `Move ${title}`,
      steps: [{ type: 'order', of: 'styles', key: styleKey(style), before: keyAt(before) }],
      exact: true,
    });
  return (
    <li className="flex gap-4 rounded-md border border-rule bg-sheet p-3">
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
            className="btn-bare"
            aria-label={`Move ${title} up`}
            disabled={index === 0}
            onClick={() => moveTo(index - 1)}
          >
            {up}
          </button>
          <button
            type="button"
            className="btn-bare"
            aria-label={`Move ${title} down`}
            disabled={index === styles.length - 1}
            onClick={() => moveTo(index + 2)}
          >
            {down}
          </button>
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
  const names = controls.slice(0, 4).map((control) => {
    const found = locate(project, control.id);
    return found ? effectiveNames(found.screen).get(control.id) : control.kind;
  });
  const more = controls.length > names.length ? ` and ${controls.length - names.length} more` : '';
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
          {names.join(', ')}
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
