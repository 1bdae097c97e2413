/** Picks what to add at a place: type to find, arrows to choose, Enter to take. */
import {
  type Control,
  confinesProblem,
  definitionsOf,
  effectiveNames,
  inForce,
  instanceKindsOf,
  type Kind,
  keysOf,
  kindOf,
  kinds,
  locate,
  type Project,
} from '@hovrin/core';
import { useCallback } from 'react';
import { changeKinds, placeNew } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { placeAfter, placeWords } from '../../editor/places.ts';
import { Dialog } from '../../parts/Dialog.tsx';
import { FindList } from '../../parts/FindList.tsx';
import { ComponentPicture } from '../ComponentPicture.tsx';
import { KindIcon } from '../KindIcon.tsx';

export const groupWords: Readonly<Record<Kind['group'], string>> = {
  arrange: 'Arrange',
  show: 'Show',
  ask: 'Ask',
  act: 'Act',
};
export const groups = keysOf(groupWords);

/** Kinds that can be placed, in the order of their groups. */
export const placeable: readonly Kind[] = groups.flatMap((group) =>
  kinds.filter((kind) => kind.group === group && !kind.root),
);

/** Kinds that can be placed in a project: the components of its own among them, first. Surrounds stand around screens only. */
export const placeableIn = (project: Project): readonly Kind[] => [...componentsIn(project), ...placeable];

/** The kinds of a project's components that can be placed. */
export const componentsIn = (project: Project): readonly Kind[] =>
  [...definitionsOf(project).values()].flatMap((definition) => {
    const kind = instanceKindsOf(project).get(definition.name);
    if (!kind || definition.isSurround) return [];
    const title = inForce(definition.control.props.title);
    return [{ ...kind, purpose: title ?? 'A component of this project.' }];
  });

/** What a kind's group is called; components of one's own have none. */
const groupOf = (kind: Kind): string => (kind.slots ? 'Own' : groupWords[kind.group]);

/** How well a kind answers what was typed; undefined: not at all. Smaller is better. */
function rank(kind: Kind, typed: string): number | undefined {
  const text = typed.trim().toLowerCase();
  if (text === '' || kind.label.toLowerCase() === text) return 0;
  const label = kind.label.toLowerCase();
  // A whole word of it is nearer than the beginning of a longer one: a field is a text field, no fieldset.
  if (label.split(' ').includes(text) || kind.findBy.includes(text)) return 1;
  if (label.startsWith(text)) return 2;
  if (label.includes(text) || kind.name.toLowerCase().includes(text)) return 3;
  if (kind.findBy.some((word) => word.startsWith(text))) return 4;
  return kind.findBy.some((word) => word.includes(text)) || kind.purpose.toLowerCase().includes(text)
    ? 5
    : undefined;
}

/** The kinds that match the typed words, the best first. @param into the container for them, where there is one. */
function kindsFor(project: Project, typed: string, into: Control | undefined): readonly Kind[] {
  return placeableIn(project)
    .filter((kind) => !into || confinesProblem(kind, kindOf(into), into.children.length + 1) === undefined)
    .map((kind) => ({ kind, rank: rank(kind, typed) }))
    .filter((entry): entry is { kind: Kind; rank: number } => entry.rank !== undefined)
    .toSorted((a, b) => a.rank - b.rank)
    .map(({ kind }) => kind);
}

export function Picker() {
  const { editor } = useWorkplace();
  const { project, picker, selection } = useEditorState('project', 'picker', 'selection');
  const into = picker && 'parent' in picker ? locate(project, picker.parent)?.control : undefined;
  const find = useCallback((typed: string) => kindsFor(project, typed, into), [project, into]);
  if (!picker) return null;
  const hasOwn = componentsIn(project).length > 0;
  const changing = 'change' in picker ? locate(project, picker.change) : undefined;
  const take = (kind: Kind) => {
    editor.openPicker(undefined);
    if ('change' in picker) {
      changeKinds(editor, kind.name);
      return;
    }
    // The dialog gives the focus back first; the name field takes it after that.
    setTimeout(() => placeNew(editor, kind.name, picker));
  };
  const after =
    selection[0] === undefined || 'change' in picker ? undefined : placeAfter(project, selection[0]);
  const beside =
    after && !('change' in picker) && (after.parent !== picker.parent || after.index !== picker.index)
      ? after
      : undefined;
  return (
    <Dialog
      title={
        'change' in picker
          ? `Make ${changing ? effectiveNames(changing.screen).get(picker.change) : 'it'} another kind`
          : `Add ${placeWords(project, picker)}`
      }
      onClose={() => editor.openPicker(undefined)}
      width={600}
    >
      <div className="flex flex-col gap-2">
        <FindList
          label="What to add"
          listLabel="Parts"
          placeholder="Type a name or a purpose, such as “yes no”"
          find={find}
          keyOf={({ name }) => name}
          onTake={take}
          row={(kind) => (
            <>
              {kind.slots ? (
                <ComponentPicture name={kind.name} width={64} height={30} />
              ) : (
                <span className={hasOwn ? 'grid w-16 shrink-0 place-items-center' : ''}>
                  <KindIcon kind={kind.name} size={16} />
                </span>
              )}
              <span className="w-32 shrink-0 font-medium">{kind.label}</span>
              <span className="truncate text-quiet">{kind.purpose}</span>
              <span className="ml-auto text-[11px] text-quiet">{groupOf(kind)}</span>
            </>
          )}
          none={(typed) => `Nothing that can stand here is called “${typed}” or made for it.`}
        />
        {beside && (
          <button type="button" className="btn self-start" onClick={() => editor.openPicker(beside)}>
            Rather {placeWords(project, beside)}
          </button>
        )}
      </div>
    </Dialog>
  );
}
