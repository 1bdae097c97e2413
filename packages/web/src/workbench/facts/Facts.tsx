/** Facts: what holds for the selected control. First what is set and what matters for its kind; the rest is one press away. */
import {
  type Control,
  effectiveNames,
  entryOf,
  isInstance,
  kindOf,
  locate,
  type Property,
  plainArrangement,
  referenceText,
} from '@hovrin/core';
import { Search } from 'lucide-react';
import { type KeyboardEvent, memo, type RefObject, useEffect, useRef, useState } from 'react';
import { currentControl, useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { EditorState } from '../../editor/editor.ts';
import { PanelEdge, type PanelSize } from '../../parts/PanelEdge.tsx';
import { KindIcon } from '../KindIcon.tsx';
import { useDisabledMeanwhile, useShownSelection } from '../useShownSelection.ts';
import { ComponentFacts } from './ComponentFacts.tsx';
import { ControlSections, SharedSections } from './FactsSections.tsx';
import { FindFacts } from './FindFacts.tsx';
import { InstanceFacts } from './InstanceFacts.tsx';
import { LineUp } from './LineUp.tsx';
import { NameField } from './NameField.tsx';
import { Reference } from './Reference.tsx';

const searchIcon = <Search size={14} aria-hidden />;

/** Facts of the selected controls. They follow the selection by a frame; until then the fields are those of the controls before, and are disabled. */
export function Facts({ panel }: { panel: PanelSize }) {
  const { selection, screenId } = useShownSelection();
  const fields = useRef<HTMLFieldSetElement>(null);
  useDisabledMeanwhile(fields);
  return (
    <aside
      aria-label="Facts"
      data-region="facts"
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
  const { isFinding, asked, open, close, take } = useFinding(control, sections);
  const found = locate(project, control.id);
  if (!found) return null;
  const kind = kindOf(control);
  const name = entryOf(effectiveNames(found.screen), control.id);
  return (
    <>
      <div className="flex items-center gap-2 px-3 pt-3 text-quiet">
        <KindIcon kind={control.kind} /> {kind.label}
        {found.parent && (
          <span className="min-w-0 truncate">in {effectiveNames(found.screen).get(found.parent.id)}</span>
        )}
        <button
          type="button"
          className="btn-bare -my-1 -mr-1.5 ml-auto"
          aria-label="Find a property"
          aria-expanded={isFinding}
          title="Find a property by any word (/)"
          onClick={isFinding ? close : open}
        >
          {searchIcon}
        </button>
      </div>
      <NameField key={control.id} control={control} name={name} />
      {!kind.declares && kind.root !== 'components' && <Reference text={referenceText(control, name)} />}
      {isFinding && <FindFacts control={control} onTake={take} onClose={close} />}
      {isInstance(control) && <InstanceFacts control={control} />}
      {found.parent && plainArrangement(found.parent) === 'pins' && <LineUp />}
      <div ref={sections} className="contents">
        <ControlSections control={control} asked={asked} />
        {kind.root === 'components' && <ComponentFacts component={control} />}
      </div>
    </>
  );
}

/** Finding a property of a control, and going to its field. */
function useFinding(control: Control, around: RefObject<HTMLElement | null>) {
  const { editor } = useWorkplace();
  const { typing } = useEditorState('typing');
  const [isFinding, setFinding] = useState(false);
  const [asked, setAsked] = useState<{ readonly of: string; readonly name: string }>();
  const goes = useRef(false);
  useEffect(() => {
    if (typing?.what !== 'find') return;
    setFinding(true);
    editor.setTyping(undefined);
  }, [typing, editor]);
  useEffect(() => {
    if (!asked || !goes.current) return;
    goes.current = false;
    const row = around.current?.querySelector(`[data-property="${CSS.escape(asked.name)}"]`);
    const field = row?.querySelector<HTMLElement>('textarea, input, select, button');
    field?.scrollIntoView({ block: 'center' });
    field?.focus();
    if (field instanceof HTMLInputElement) field.select();
  });
  return {
    isFinding,
    asked: asked?.of === control.id ? asked.name : undefined,
    open: () => setFinding(true),
    close: () => setFinding(false),
    take: ({ name }: Property) => {
      setFinding(false);
      goes.current = true;
      setAsked({ of: control.id, name });
    },
  };
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

/** What several controls have in common: the properties that all of them have, set on all at once. */
function SeveralFacts({ controls }: { controls: readonly [Control, ...Control[]] }) {
  const kinds = [...new Set(controls.map((control) => kindOf(control).label))];
  return (
    <>
      <div className="px-3 pt-3 pb-2.5">
        <p className="font-semibold">{controls.length} controls</p>
        <p className="text-quiet">{kinds.join(', ')}</p>
      </div>
      <LineUp />
      <SharedSections controls={controls} />
    </>
  );
}
