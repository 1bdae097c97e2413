/** Components taken out as a kit file, with all that they need, and kits brought in. */
import {
  type Clash,
  type ClashChoice,
  clashesOf,
  type Kit,
  kitEnding,
  kitOf,
  kitSteps,
  messageOf,
  newPictures,
  printKit,
  readKit,
} from '@hovrin/core';
import { type RefObject, useRef, useState } from 'react';
import { api } from '../../api.ts';
import { download } from '../../download.ts';
import { newId } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { Editor } from '../../editor/editor.ts';
import { pictureSteps, storePicture } from '../../editor/pictures.ts';
import { Dialog } from '../../parts/Dialog.tsx';
import { FormEnd } from '../../parts/FormEnd.tsx';

/** Largest kit, in bytes. */
const largest = 20_000_000;

/** Saves a component, and what it needs, as a file. */
export async function takeOut(editor: Editor, name: string): Promise<void> {
  const { project } = editor.state;
  const kit = kitOf(project, [name]);
  try {
    const { strToU8, zipSync } = await import('fflate');
    const files: Record<string, Uint8Array> = {};
    for (const [path, text] of printKit(kit, project.bands)) files[path] = strToU8(text);
    for (const picture of kit.pictures) {
      const answer = await fetch(api.assetAddress(editor.projectId, picture));
      if (!answer.ok) throw new Error(`The picture ${picture} could not be read.`);
      files[`assets/${picture}`] = new Uint8Array(await answer.arrayBuffer());
    }
    download(`${name}${kitEnding}`, new Blob([zipSync(files) as BlobPart], { type: 'application/zip' }));
    const more = kit.components.length - 1;
    editor.tell(
      more === 0 ? `${name} is saved as a kit.` : `${name} is saved with ${more} that stand in it.`,
    );
  } catch (error) {
    editor.tell(`${name} was not saved: ${messageOf(error)}`);
  }
}

/** A kit as it was read, with the bytes of its pictures. */
interface Brought {
  readonly file: string;
  readonly kit: Kit;
  readonly pictures: ReadonlyMap<string, Uint8Array>;
}

/** Reads a kit file. @throws Error where it is none. */
async function readFile(editor: Editor, file: File): Promise<Brought> {
  if (file.size > largest) throw new Error('It is larger than 20 MB.');
  const { strFromU8, unzipSync } = await import('fflate');
  let entries: Record<string, Uint8Array>;
  try {
    entries = unzipSync(new Uint8Array(await file.arrayBuffer()), {
      // What a small file claims to be when it is unpacked is not believed.
      filter: ({ originalSize }) => originalSize <= largest,
    });
  } catch {
    throw new Error('It is no zip file.');
  }
  const texts = new Map<string, string>();
  const pictures = new Map<string, Uint8Array>();
  for (const [path, bytes] of Object.entries(entries))
    if (path.startsWith('assets/')) pictures.set(path, bytes);
    else if (/\.(xml|json)$/.test(path)) texts.set(path, strFromU8(bytes));
  const reading = readKit(texts, [...pictures.keys()], editor.state.project, newId);
  if (!reading.ok) {
    const [first] = reading.problems;
    throw new Error(first ? `${first.file}, line ${first.line}: ${first.message}` : 'It cannot be read.');
  }
  return { file: file.name, kit: reading.kit, pictures };
}

/** What asks for a kit file, and for what is done about names that are taken. @param input the field that asks for the file. */
export function BringKit({ input }: { input: RefObject<HTMLInputElement | null> }) {
  const { editor } = useWorkplace();
  const [brought, setBrought] = useState<Brought>();
  const take = (file: File) =>
    readFile(editor, file).then(setBrought, (error: unknown) =>
      editor.tell(`“${file.name}” was not brought in: ${messageOf(error)}`),
    );
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".zip"
        className="hidden"
        aria-label="Kit file"
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) void take(file);
        }}
      />
      {brought && (
        <Dialog title={`Bring in ${brought.file}`} onClose={() => setBrought(undefined)} width={520}>
          <BringForm brought={brought} onClose={() => setBrought(undefined)} />
        </Dialog>
      )}
    </>
  );
}

/** The field that asks for a kit file. */
export const useKitInput = () => useRef<HTMLInputElement>(null);

const sorts = { components: 'component', styles: 'style', tokens: 'token' } as const;

function BringForm({ brought: { file, kit, pictures }, onClose }: { brought: Brought; onClose: () => void }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const clashes = clashesOf(project, kit);
  const [choices, setChoices] = useState<ReadonlyMap<string, ClashChoice>>(new Map());
  const keyOf = ({ of, name }: Clash) => `${of} ${name}`;
  const choiceFor = (clash: Clash): ClashChoice =>
    choices.get(keyOf(clash)) ?? (clash.of === 'components' ? 'both' : 'mine');
  const bring = async () => {
    try {
      const assets = [];
      for (const name of newPictures(project, kit)) {
        const bytes = pictures.get(`assets/${name}`);
        if (bytes)
          assets.push(
            await storePicture(editor, new File([bytes as BlobPart], name, { type: typeOf(name) })),
          );
      }
      editor.dispatch({
        label: `Bring in ${file}`,
        steps: [...pictureSteps(assets), ...kitSteps(project, kit, choiceFor)],
        exact: true,
      });
    } catch (error) {
      editor.tell(`“${file}” was not brought in: ${messageOf(error)}`);
    }
    onClose();
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void bring();
      }}
    >
      <ul className="flex flex-col gap-1">
        {[
          ['Components', kit.components.map(({ name }) => name ?? '')] as const,
          ['Styles', kit.styles.map(({ name, for: only }) => name ?? `all ${only}s`)] as const,
          ['Tokens', kit.tokens.map(({ path }) => path)] as const,
          ['Pictures', kit.pictures] as const,
        ].map(([words, names]) =>
          names.length === 0 ? null : (
            <li key={words}>
              <span className="text-quiet">{words}:</span> {names.join(', ')}
            </li>
          ),
        )}
      </ul>
      {clashes.length > 0 && (
        <fieldset className="flex flex-col gap-1">
          <legend className="mb-1">These are there already, and say something else</legend>
          {clashes.map((clash) => (
            <label key={keyOf(clash)} className="flex items-center gap-2">
              <span className="min-w-0 flex-1 truncate">
                the {sorts[clash.of]} {clash.name}
              </span>
              <select
                className="field !w-52"
                value={choiceFor(clash)}
                onChange={({ target }) =>
                  setChoices(new Map([...choices, [keyOf(clash), target.value as ClashChoice]]))
                }
              >
                <option value="mine">Mine stays</option>
                <option value="theirs">The kit’s takes its place</option>
                {clash.of === 'components' && <option value="both">Both, under another name</option>}
              </select>
            </label>
          ))}
        </fieldset>
      )}
      <FormEnd problem={undefined} action="Bring it in" onClose={onClose} />
    </form>
  );
}

const types: Readonly<Record<string, string>> = {
  svg: 'image/svg+xml',
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  webp: 'image/webp',
  gif: 'image/gif',
};
const typeOf = (name: string): string => types[name.slice(name.lastIndexOf('.') + 1).toLowerCase()] ?? '';
