/** The parts, to drag from; a press opens nothing but adds at the selection. */

import type { Kind } from '@hovrin/core';
import { Fragment, memo, useState } from 'react';
import { placeNew } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { placeAtSelection } from '../../editor/places.ts';
import { ComponentPicture } from '../ComponentPicture.tsx';
import { componentsIn, groups, groupWords, placeable } from '../dialogs/Picker.tsx';
import { inFolders } from '../folders.ts';
import { useDragged } from '../hands/useDragged.ts';
import { KindIcon } from '../KindIcon.tsx';
import { useBenchView } from './benchView.ts';

/** A group of kinds, or the components of one's own. */
type Shelf = Kind['group'] | 'own';

export const Tray = memo(function Tray() {
  const { project } = useEditorState('project');
  const own = componentsIn(project);
  const shelves: readonly Shelf[] = own.length > 0 ? [...groups, 'own'] : groups;
  const [chosen, setGroup] = useState<Shelf>(
    ([...groups, 'own'] as const).find((each) => each === localStorage.getItem('hovrin.tray.group')) ??
      'arrange',
  );
  const group = shelves.includes(chosen) ? chosen : 'arrange';
  const choose = (next: Shelf) => {
    setGroup(next);
    localStorage.setItem('hovrin.tray.group', next);
  };
  return (
    <section aria-label="Parts" className="flex min-h-0 flex-col">
      <div role="radiogroup" aria-label="Group of parts" className="flex shrink-0 gap-3 px-3 pb-1.5">
        {shelves.map((each) => (
          <label
            key={each}
            className={`cursor-pointer border-b-2 pb-0.5 has-[:focus-visible]:outline ${each === group ? 'border-ink font-medium' : 'border-transparent text-quiet hover:text-ink'}`}
          >
            <input
              type="radio"
              name="tray-group"
              className="sr-only"
              checked={each === group}
              onChange={() => choose(each)}
            />
            {each === 'own' ? 'Own' : groupWords[each]}
          </label>
        ))}
      </div>
      <div className="grid min-h-0 grid-cols-2 gap-1 overflow-y-auto px-2 pb-2">
        {group === 'own'
          ? inFolders(project, own).map(({ folder, kinds }) => (
              <Fragment key={folder}>
                {folder !== '' && <h4 className="col-span-2 px-1 pt-1 text-[12px] text-quiet">{folder}</h4>}
                {kinds.map((kind) => (
                  <TrayPart key={kind.name} kind={kind} isOwn />
                ))}
              </Fragment>
            ))
          : placeable
              .filter((kind) => kind.group === group)
              .map((kind) => <TrayPart key={kind.name} kind={kind} />)}
      </div>
    </section>
  );
});

/** @param isOwn a component: it is shown as a picture. */
function TrayPart({ kind, isOwn = false }: { kind: Kind; isOwn?: boolean }) {
  const { editor } = useWorkplace();
  const { drawing, setDrawing } = useBenchView();
  const { setNodeRef, onPointerDown } = useDragged({
    id: `part ${kind.name}`,
    data: { from: 'tray', kind: kind.name },
  });
  return (
    <button
      ref={setNodeRef}
      type="button"
      onPointerDown={onPointerDown}
      title={`${kind.purpose} Shift+press, then draw its size on the bench.`}
      aria-pressed={drawing === kind.name}
      className={`flex aria-pressed:border-saffron aria-pressed:bg-saffron/25 touch-none items-center gap-1.5 rounded-md border border-rule bg-sheet px-1.5 text-left text-[12.5px] hover:border-quiet ${isOwn ? 'flex-col py-1' : 'h-7'}`}
      onClick={(event) => {
        if (event.shiftKey) setDrawing(drawing === kind.name ? undefined : kind.name);
        else {
          const place = placeAtSelection(editor.state);
          if (place) placeNew(editor, kind.name, place);
        }
      }}
    >
      {isOwn ? (
        <ComponentPicture name={kind.name} width={82} height={40} />
      ) : (
        <KindIcon kind={kind.name} size={13} />
      )}
      <span className="max-w-full truncate">{kind.label}</span>
    </button>
  );
}
