/** Tokens out of the project and into it, in the format of the Design Tokens Community Group. */
import type { Mode } from '@hovrin/core';
import { FileDown, FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import { download } from '../download.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { Dialog } from '../parts/Dialog.tsx';
import { Menu } from '../parts/Menu.tsx';
import { type Brought, bringing, tokenFilesOf } from './tokenSteps.ts';

const largest = 5_000_000;

export function TokenFiles() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const input = useRef<HTMLInputElement>(null);
  const [mode, setMode] = useState<Mode>('light');
  const [brought, setBrought] = useState<Brought & { readonly file: string }>();
  const files = [...tokenFilesOf(project)];
  const choose = (next: Mode) => {
    setMode(next);
    input.current?.click();
  };
  const take = async (file: File) => {
    const read = file.size > largest ? 'It is larger than 5 MB.' : bringing(project, await file.text(), mode);
    if (typeof read === 'string') editor.tell(`“${file.name}” was not brought in: ${read}`);
    else setBrought({ ...read, file: file.name });
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,.tokens"
        className="hidden"
        aria-label="File of tokens"
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) void take(file);
        }}
      />
      <Menu
        label="Bring tokens in"
        button={
          <button type="button" className="btn">
            <FileUp size={15} aria-hidden /> Bring in
          </button>
        }
        entries={[
          { label: 'Tokens …', onSelect: () => choose('light') },
          { label: 'Values in the dark …', onSelect: () => choose('dark') },
          { label: 'Values with more contrast …', onSelect: () => choose('contrast') },
        ]}
      />
      <button
        type="button"
        className="btn"
        disabled={files.length === 0}
        title={
          files.length === 0
            ? 'The project has no tokens of its own yet'
            : 'One file for each mode that has values'
        }
        onClick={() => {
          for (const [path, text] of files)
            download(path.replace('theme/', ''), new Blob([text], { type: 'application/json' }));
        }}
      >
        <FileDown size={15} aria-hidden /> Take out
      </button>
      {brought && (
        <Dialog title={`Tokens of ${brought.file}`} onClose={() => setBrought(undefined)}>
          {brought.steps.length === 0 ? (
            <p>Nothing in it differs from what the project has.</p>
          ) : (
            <div className="flex flex-col gap-3">
              <Names title="New" paths={brought.added} />
              <Names title="Changed" paths={brought.changed} />
              <div className="flex justify-end gap-2">
                <button type="button" className="btn" onClick={() => setBrought(undefined)}>
                  Cancel
                </button>
                <button
                  type="button"
                  className="btn btn-main"
                  data-begin
                  onClick={() => {
                    editor.dispatch({ label: `Bring in ${brought.file}`, steps: brought.steps, exact: true });
                    setBrought(undefined);
                  }}
                >
                  Bring them in
                </button>
              </div>
            </div>
          )}
        </Dialog>
      )}
    </>
  );
}

function Names({ title, paths }: { readonly title: string; readonly paths: readonly string[] }) {
  if (paths.length === 0) return null;
  return (
    <div>
      <h3 className="font-semibold">
        {title}: {paths.length}
      </h3>
      <p className="max-h-40 overflow-auto font-mono text-[12px]">{paths.join(', ')}</p>
    </div>
  );
}
