/** One text: where it stands, as a picture in its language with the control lit; what is wrong; a note for translators. */
import {
  inLocale,
  isRightToLeft,
  type Project,
  ScreenView,
  type StandingWords,
  type StringRow,
  translationFault,
} from '@hovrin/core';
import { useMemo, useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { bandSizes } from '../parts/bandSizes.ts';
import { languageWords } from '../parts/languageWords.ts';
import { SizeField } from '../parts/SizeField.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { PaintedPicture } from '../workbench/bays/PaintedPicture.tsx';
import { SharedEntry } from './SharedEntry.tsx';
import { ShareWords } from './ShareWords.tsx';
import { type Rooms, useRoomFor } from './useRoomFor.ts';
import type { WordsRow } from './wordsModel.ts';

interface WordDetailsProps {
  readonly row: WordsRow;
  /** The language that is looked at; undefined: that of the source. */
  readonly tag: string | undefined;
  readonly source: string;
  readonly onNote: (note: string) => void;
}

/** Width of the picture, px. */
const wide = 264;
/** Most of a picture that is seen, px. */
const highest = 330;

export function WordDetails({ row, tag, source, onNote }: WordDetailsProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const goTo = useGoTo();
  const own = tag === undefined ? undefined : row.in.get(tag);
  const place = [...row.in.values()].find((each) => each.place)?.place;
  const fault = place && own?.translation?.text ? translationFault(place, own.translation.text) : undefined;
  const standing = place?.control ? place : undefined;
  const show = () => {
    if (!standing) return;
    editor.showScreen(standing.tree.id);
    editor.select([standing.control.id]);
    goTo('');
  };
  return (
    <section aria-label="Chosen text" className="flex flex-col gap-3">
      <div>
        <h2 className="font-semibold">{tag === undefined ? languageWords(source) : languageWords(tag)}</h2>
        <p className="font-mono text-[12px] break-all text-quiet">{row.key}</p>
      </div>
      <p className="rounded-md bg-sheet p-2 whitespace-pre-wrap">
        {row.source || 'The project has no such text any more.'}
      </p>
      {own?.translation?.text && (
        <p lang={tag} dir="auto" className="rounded-md bg-sheet p-2 whitespace-pre-wrap">
          {own.translation.text}
        </p>
      )}
      {own && <StateWords row={own} fault={fault} />}
      {row.same > 0 && (
        <p className="text-quiet">
          {row.same === 1 ? 'One other text says' : `${row.same} other texts say`} the same.
        </p>
      )}
      {place && !place.control && <SharedEntry key={row.key} name={place.part} />}
      {standing && <ShareWords key={row.key} text={row.source} />}
      {row.near.length > 0 && (
        <p className="text-quiet">
          Nearly the same elsewhere: {row.near.map((text) => `“${text}”`).join(', ')}.
        </p>
      )}
      {own && own.state !== 'unused' && (
        <label className="flex flex-col gap-1">
          <span className="font-medium">Note for translators</span>
          <textarea
            key={`${row.key} ${tag}`}
            className="field !h-16 resize-none py-1"
            defaultValue={own.translation?.note ?? ''}
            onBlur={({ target }) => onNote(target.value.trim())}
          />
        </label>
      )}
      {standing && <Where project={project} place={standing} tag={tag} />}
      {standing && (
        <button type="button" className="btn self-start" onClick={show}>
          Show it on the bench
        </button>
      )}
    </section>
  );
}

const stateWords: Readonly<Record<StringRow['state'], string>> = {
  done: 'Translated.',
  missing: 'Not translated yet: the source text stands there.',
  stale: 'The source text was another one when this was translated:',
  wrong: 'Not used, so the source text stands there.',
  unused: 'The text is gone. Its translation is kept until it is deleted.',
};

const StateWords = ({ row, fault }: { readonly row: StringRow; readonly fault: string | undefined }) => (
  <div role="status" className={row.state === 'wrong' ? 'text-brick' : 'text-quiet'}>
    <p>{stateWords[row.state]}</p>
    {row.state === 'stale' && <p className="italic">{row.translation?.source}</p>}
    {fault && <p>{fault}</p>}
  </div>
);

/** The room of the text at some widths, for letters like its own. */
const RoomList = ({ rooms }: { readonly rooms: Rooms | undefined }) => (
  <div role="status" className="text-quiet">
    <p className="font-medium text-ink">How long it may be</p>
    {rooms ? (
      <ul>
        {rooms.map(([width, { characters, word }]) => (
          <li key={width}>
            At {width} px {characters === undefined ? 'any length' : `about ${characters} characters`}
            {word !== undefined && `, words of up to about ${word}`}
          </li>
        ))}
      </ul>
    ) : (
      <p>It is being measured …</p>
    )}
  </div>
);

interface WhereProps {
  readonly project: Project;
  readonly place: StandingWords;
  readonly tag: string | undefined;
}

/** The screen in the language, with the control lit; of a component the component itself. */
function Where({ project, place, tag }: WhereProps) {
  const { shaper } = useWorkplace();
  const sizes = useMemo(() => bandSizes(project), [project]);
  const [label, setLabel] = useState<string>();
  const size = sizes.find((each) => each.label === label) ?? sizes[0];
  const rooms = useRoomFor(place, tag, size);
  const [view] = useState(() => new ScreenView(shaper));
  const treeId = place.tree.id;
  const layout = useMemo(() => {
    if (!size) return undefined;
    const shown = tag === undefined ? project : inLocale(project, tag);
    const tree = [...shown.screens, ...(shown.components ?? [])].find(({ id }) => id === treeId);
    const rightToLeft = tag !== undefined && isRightToLeft(tag);
    return tree && view.layOut(shown, tree, { width: size.width, height: size.height, rightToLeft });
  }, [project, tag, size, treeId, view]);
  if (!size || !layout) return null;
  const scale = Math.min(1, wide / size.width);
  const box = layout.byControl.get(place.control.id);
  // What is far below is moved into sight.
  const seen = highest / scale;
  const top = box && box.y + box.height > seen ? Math.min(box.y - 40, layout.fullHeight - seen) : 0;
  return (
    <div className="flex flex-col gap-1.5">
      <SizeField
        sizes={sizes}
        size={size}
        words="Where it stands"
        label="Size of the picture"
        className="!h-6"
        onSize={setLabel}
      />
      <div
        className="relative overflow-hidden outline outline-rule"
        style={{ width: size.width * scale, height: Math.min(highest, layout.fullHeight * scale) }}
      >
        <div className="absolute left-0" style={{ top: -Math.max(0, top) * scale }}>
          <PaintedPicture
            layout={layout}
            width={size.width}
            height={Math.max(size.height, layout.fullHeight)}
            scale={scale}
            label={`${place.tree.name} with ${place.key} lit`}
          />
          {box && (
            <div
              aria-hidden
              className="absolute outline-3 outline-saffron"
              style={{
                left: box.x * scale,
                top: box.y * scale,
                width: box.width * scale,
                height: box.height * scale,
              }}
            />
          )}
        </div>
      </div>
      {box ? <RoomList rooms={rooms} /> : <p className="text-quiet">It is not shown at this size.</p>}
    </div>
  );
}
