/** Facts: everything that holds for the selected control, in the order in which one asks. */
import {
  arrangementsOf,
  type Control,
  controlNameProblem,
  declaredNameProblem,
  effectiveNames,
  entryOf,
  inForce,
  isInstance,
  kindIn,
  kindOf,
  locate,
  locationOf,
  nameControl,
  type Property,
  type PropertyGroup,
  propertyOf,
  referenceText,
  renameDeclared,
  renameTree,
  treeNameProblem,
} from '@hovrin/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import {
  type KeyboardEvent,
  memo,
  type ReactNode,
  type RefObject,
  useEffect,
  useId,
  useRef,
  useState,
} from 'react';
import { commandNamed, runCommand } from '../../editor/commands/index.ts';
import { currentControl, useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { EditorState } from '../../editor/editor.ts';
import { PanelEdge, type PanelSize } from '../../parts/PanelEdge.tsx';
import { ArrangeStrip } from '../bench/ArrangeStrip.tsx';
import { EventFields } from '../fields/EventField.tsx';
import { PropertyField } from '../fields/PropertyField.tsx';
import { wholeFields } from '../fields/wholeFields.ts';
import { KindIcon } from '../KindIcon.tsx';
import { useDisabledMeanwhile, useShownSelection } from '../useShownSelection.ts';
import { ComponentFacts } from './ComponentFacts.tsx';
import { InstanceFacts } from './InstanceFacts.tsx';
import { ParameterButton } from './ParameterButton.tsx';
import { StyleButtons } from './StyleButtons.tsx';
import { SurroundField } from './SurroundField.tsx';
import { TwoWayField } from './TwoWayField.tsx';

const openIcon = <ChevronDown size={13} />;
const closedIcon = <ChevronRight size={13} />;

const groupWords: readonly (readonly [PropertyGroup, string])[] = [
  ['content', 'Content'],
  ['place', 'Place'],
  ['size', 'Size'],
  ['inside', 'Inside'],
  ['look', 'Look'],
  ['letters', 'Letters'],
  ['effects', 'Effects'],
  ['parts', 'Parts'],
  ['data', 'Data'],
];

/** Facts of the selected controls. They follow the selection by a frame; until then the fields are those of the controls before, and are disabled. */
export function Facts({ panel }: { panel: PanelSize }) {
  const { selection, screenId } = useShownSelection();
  const fields = useRef<HTMLFieldSetElement>(null);
  useDisabledMeanwhile(fields);
  return (
    <aside
      aria-label="Facts"
      className="relative flex shrink-0 flex-col border-l border-rule bg-sheet"
      style={{ width: panel.size }}
    >
      <PanelEdge label="Width of Facts" side="left" panel={panel} />
      <div className="flex min-h-0 flex-1 flex-col overflow-y-auto">
        <fieldset ref={fields} className="contents" onKeyDown={leaveByEscape}>
          <FactsOf selection={selection} screenId={screenId} />
        </fieldset>
      </div>
    </aside>
  );
}

/** Leaves a field; what was typed there is taken, or put back by the field itself, before that. */
function leaveByEscape({ key, target, currentTarget }: KeyboardEvent<HTMLElement>): void {
  if (key !== 'Escape' || !(target instanceof HTMLElement) || !currentTarget.contains(target)) return;
  setTimeout(() => target.blur());
}

type Chosen = Pick<EditorState, 'selection' | 'screenId'>;

const FactsOf = memo(function FactsOf({ selection, screenId }: Chosen) {
  const { project } = useEditorState('project');
  const many = selection.flatMap((id) => locate(project, id)?.control ?? []);
  const [first, second, ...more] = many;
  if (first && second) return <SeveralFacts key={selection.join()} controls={[first, second, ...more]} />;
  const control = currentControl({ project, selection, screenId });
  return control && <ControlFacts control={control} />;
});

/** Fields hold nothing themselves, so they stay and show the next control; where they do, they are made anew. */
function ControlFacts({ control }: { control: Control }) {
  const { project } = useEditorState('project');
  const sections = useRef<HTMLDivElement>(null);
  useTypedFirst(control, sections);
  const found = locate(project, control.id);
  if (!found) return null;
  const kind = kindOf(control);
  const name = entryOf(effectiveNames(found.screen), control.id);
  return (
    <>
      <div className="flex items-center gap-2 px-3 pt-3 text-quiet">
        <KindIcon kind={control.kind} /> {kind.label}
        {found.parent && (
          <span className="ml-auto truncate">in {effectiveNames(found.screen).get(found.parent.id)}</span>
        )}
      </div>
      <NameField key={control.id} control={control} name={name} />
      {!kind.declares && kind.root !== 'components' && <Reference text={referenceText(control, name)} />}
      {isInstance(control) && <InstanceFacts control={control} />}
      {found.parent && !kind.declares && <ArrangeStrip />}
      <div ref={sections} className="contents">
        <Sections control={control} />
        {kind.root === 'components' && <ComponentFacts component={control} />}
      </div>
    </>
  );
}

/** Puts the keys into the first property of a control when that is to be typed next. */
function useTypedFirst(control: Control, around: RefObject<HTMLElement | null>): void {
  const { editor } = useWorkplace();
  const { typing } = useEditorState('typing');
  useEffect(() => {
    if (typing?.control !== control.id || typing.what !== 'first') return;
    const field = around.current?.querySelector<HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement>(
      'textarea, select, input:not([type="hidden"])',
    );
    field?.focus();
    if (field && 'select' in field) field.select();
    editor.setTyping(undefined);
  }, [typing, control.id, editor, around]);
}

/** All properties and events of a control. */
const Sections = memo(function Sections({ control }: { control: Control }) {
  const { project } = useEditorState('project');
  const found = locate(project, control.id);
  if (!found) return null;
  const kind = kindIn(project, control);
  const name = entryOf(effectiveNames(found.screen), control.id);
  return (
    <>
      {groupWords.map(([group, words]) => {
        const properties = kind.properties.filter(
          (property) =>
            property.group === group &&
            property.name !== 'name' &&
            (matters(property, control, found.parent) || isSlotOf(property, found.parent)),
        );
        if (properties.length === 0) return null;
        return (
          <Section key={group} title={words}>
            {properties.map((property) => (
              <PropertyRow key={property.name} control={control} property={property} name={name} />
            ))}
            {group === 'look' && <StyleButtons controls={[control]} />}
          </Section>
        );
      })}
      {kind.events.length > 0 && (
        <Section title="Events">
          <EventFields key={control.id} control={control} name={name} events={kind.events} />
        </Section>
      )}
    </>
  );
});

/** What several controls have in common: the properties that all of them have, set on all at once. */
function SeveralFacts({ controls }: { controls: readonly [Control, ...Control[]] }) {
  const { project } = useEditorState('project');
  const [first, ...others] = controls;
  const parents = controls.map(({ id }) => locate(project, id)?.parent);
  const shared = kindOf(first).properties.filter(
    (property) =>
      others.every((other) =>
        kindOf(other).properties.some(({ name, type }) => name === property.name && type === property.type),
      ) && controls.every((control, index) => matters(property, control, parents[index])),
  );
  const kinds = [...new Set(controls.map((control) => kindOf(control).label))];
  return (
    <>
      <div className="px-3 pt-3 pb-2.5">
        <p className="font-semibold">{controls.length} controls</p>
        <p className="text-quiet">{kinds.join(', ')}</p>
      </div>
      <ArrangeStrip />
      {groupWords.map(([group, words]) => {
        const properties = shared.filter((property) => property.group === group);
        if (properties.length === 0) return null;
        return (
          <Section key={group} title={words}>
            {properties.map((property) => (
              <PropertyField
                key={property.name}
                controls={controls}
                property={property}
                name={`${controls.length} controls`}
              />
            ))}
            {group === 'look' && <StyleButtons controls={controls} />}
          </Section>
        );
      })}
    </>
  );
}

/** The slot that something is in, where it stands in an instance. */
const isSlotOf = ({ name }: Property, parent: Control | undefined): boolean =>
  name === 'slot' && parent !== undefined && isInstance(parent);

/** Whether a property means something where the control stands, or says something all the same. */
function matters(property: Property, control: Control, parent: Control | undefined): boolean {
  const { name, onlyIn, notIn } = property;
  // What checks let stand is looked at where they are.
  if (name === 'ignore') return false;
  const ways = parent ? [...arrangementsOf(parent)] : [];
  const means = !onlyIn || ways.some((each) => onlyIn.includes(each));
  if (means && !(ways.length > 0 && ways.every((each) => notIn?.includes(each)))) return true;
  return Object.keys(control.props).some((key) => propertyOf(key) === name);
}

/** What is seldom looked for. */
const closedAtFirst: ReadonlySet<string> = new Set(['Effects', 'Parts']);

function Section({ title, children }: { title: string; children: ReactNode }) {
  const [open, setOpen] = useState(() => {
    const kept = localStorage.getItem(`hovrin.facts.${title}`);
    return kept === null ? !closedAtFirst.has(title) : kept !== 'closed';
  });
  return (
    <section className="border-t border-rule px-3 py-1.5" aria-label={title}>
      <h3>
        <button
          type="button"
          className="-ml-1 flex h-7 w-full items-center gap-1 font-semibold"
          aria-expanded={open}
          onClick={() => {
            setOpen(!open);
            localStorage.setItem(`hovrin.facts.${title}`, open ? 'closed' : 'open');
          }}
        >
          {open ? openIcon : closedIcon} {title}
        </button>
      </h3>
      {open && <div className="flex flex-col gap-1 pb-1.5">{children}</div>}
    </section>
  );
}

function NameField({ control, name }: { control: Control; name: string }) {
  const { editor } = useWorkplace();
  const { project, typing } = useEditorState('project', 'typing');
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState<string>();
  const found = locationOf(project, control.id);
  const isScreen = found.parent === undefined;
  const { declares } = kindOf(control);
  const own = declares ? inForce(control.props.name) : control.name;
  const problem =
    typed === undefined || typed === own
      ? undefined
      : declares
        ? declaredNameProblem(found.screen, control, typed)
        : isScreen
          ? treeNameProblem(project, control.id, typed)
          : controlNameProblem(found.screen, control, typed);
  useEffect(() => {
    if (typing?.control !== control.id || typing.what !== 'name') return;
    field.current?.focus();
    field.current?.select();
    editor.setTyping(undefined);
  }, [typing, control.id, editor]);
  const commit = () => {
    if (typed !== undefined && typed !== own && !problem)
      editor.dispatch({
        label: `Rename ${own ?? name} to ${typed}`,
        steps: declares
          ? renameDeclared(project, control, typed)
          : isScreen
            ? renameTree(project, control.id, typed)
            : nameControl(found.screen, control, typed),
      });
    if (!problem) setTyped(undefined);
  };
  const id = useId();
  return (
    <div className="px-3 pt-1.5 pb-2.5">
      <div className="flex items-center gap-1.5">
        <label htmlFor={id} className="w-[86px] shrink-0 text-quiet">
          Name
        </label>
        <input
          id={id}
          ref={field}
          className="field font-mono font-medium"
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? `${id}-problem` : undefined}
          spellCheck={false}
          value={typed ?? (declares ? (own ?? '') : name)}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            // Leaving the field commits.
            if (event.key === 'Enter' && !problem) event.currentTarget.blur();
            if (event.key === 'Escape') {
              setTyped(undefined);
              // The field is left only after the old name is back.
              setTimeout(() => field.current?.blur());
            }
          }}
        />
        <span className="w-5" />
      </div>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-1 ml-[92px] text-[12px] text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}

/** What the control is to code that is written against it. */
function Reference({ text }: { text: string }) {
  const { editor } = useWorkplace();
  return (
    <button
      type="button"
      className="btn-bare -mt-1.5 mb-1.5 ml-[104px] !h-5 !justify-start self-start truncate !px-1 font-mono text-[11px] text-quiet"
      aria-label="Copy the reference"
      title={`${text}: copy it for code`}
      onClick={() =>
        void navigator.clipboard.writeText(text).then(
          () => editor.tell('Copied.'),
          () => editor.tell('The browser does not allow copying.'),
        )
      }
    >
      {text}
    </button>
  );
}

function PropertyRow({ control, property, name }: { control: Control; property: Property; name: string }) {
  const { editor } = useWorkplace();
  if (property.onlyEmpty && control.children.length > 0) return null;
  if (property.name === 'surround' && kindOf(control).root === 'screens')
    return <SurroundField screen={control} />;
  const { offers } = property;
  const Whole = property.type.field && wholeFields[property.type.field];
  return (
    <>
      {Whole ? (
        <Whole key={control.id} control={control} property={property} name={name} />
      ) : (
        // What a form knows of itself nobody sets.
        property.page?.as !== 'form' &&
        inForce(control.props[`${property.name}.bind`]) === undefined && (
          <PropertyField controls={[control]} property={property} name={name} />
        )
      )}
      {property.twoWay && <TwoWayField control={control} property={property} name={name} />}
      <ParameterButton control={control} property={property} />
      {offers && (
        <button
          type="button"
          className="btn ml-[92px] !h-6 self-start text-[12px]"
          title={offers.hint}
          onClick={() => runCommand(editor, commandNamed(offers.command))}
        >
          {offers.label}
        </button>
      )}
    </>
  );
}
