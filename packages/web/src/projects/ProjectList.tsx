/** The list of projects: open, new, rename, duplicate, delete with a way back. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { FolderInput, MoreHorizontal, Plus } from 'lucide-react';
import { type FormEvent, useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type ProjectSummary } from '../api.ts';
import { downloadFrom } from '../download.ts';
import { Dialog } from '../parts/Dialog.tsx';
import { Menu } from '../parts/Menu.tsx';

const listKey = ['projects'];
const times = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

export function ProjectList() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const list = useQuery({ queryKey: listKey, queryFn: api.list });
  const [naming, setNaming] = useState<ProjectSummary | 'new'>();
  const [justDeleted, setJustDeleted] = useState<ProjectSummary>();
  const act = useMutation({
    mutationFn: (work: () => Promise<unknown>) => work(),
    onSettled: () => queries.invalidateQueries({ queryKey: listKey }),
  });
  const bringing = useMutation({
    mutationFn: (file: File) => api.bringIn(file),
    onSettled: () => queries.invalidateQueries({ queryKey: listKey }),
  });
  useEffect(() => {
    document.title = 'Projects · Hovrin';
  }, []);

  const create = async (name: string) => {
    const { id } = await api.create(name);
    await navigate(`/projects/${id}`);
  };

  return (
    <main
      className="mx-auto flex min-h-full max-w-4xl flex-col gap-6 px-6 py-10"
      onDragOver={(event) => event.dataTransfer.types.includes('Files') && event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) bringing.mutate(file, { onSuccess: ({ id }) => void navigate(`/projects/${id}`) });
      }}
    >
      <header className="flex items-end justify-between gap-4">
        <div>
          <p className="flex items-center gap-2 font-semibold text-spruce">
            <img src="/mark.svg" alt="" width={18} height={18} /> Hovrin
          </p>
          <h1 className="mt-1 text-2xl font-semibold">Projects</h1>
        </div>
        <div className="flex gap-2">
          <BringIn
            isBusy={bringing.isPending}
            onFile={(file) =>
              bringing.mutate(file, { onSuccess: ({ id }) => void navigate(`/projects/${id}`) })
            }
          />
          <button type="button" className="btn btn-main" onClick={() => setNaming('new')}>
            <Plus size={15} aria-hidden /> New project
          </button>
        </div>
      </header>

      {bringing.isPending && (
        <p role="status" className="text-quiet">
          “{bringing.variables?.name}” is being checked …
        </p>
      )}
      {bringing.isError && (
        <NotBroughtIn
          name={bringing.variables?.name ?? ''}
          message={bringing.error.message}
          onClose={() => bringing.reset()}
        />
      )}

      {list.isPending && <p className="text-quiet">Loading the projects …</p>}
      {list.isError && (
        <div
          className="flex items-center justify-between gap-4 rounded-md border border-brick bg-sheet p-4"
          role="alert"
        >
          <p>The projects could not be loaded: {list.error.message}</p>
          <button type="button" className="btn" onClick={() => void list.refetch()}>
            Try again
          </button>
        </div>
      )}
      {act.isError && (
        <p role="alert" className="text-brick">
          {act.error.message}
        </p>
      )}
      {justDeleted && (
        <div
          role="status"
          className="flex items-center justify-between gap-4 rounded-md border border-rule bg-sheet px-4 py-2"
        >
          <span>“{justDeleted.name}” was deleted.</span>
          <button
            type="button"
            className="btn"
            onClick={() => {
              act.mutate(() => api.restore(justDeleted.id));
              setJustDeleted(undefined);
            }}
          >
            Bring it back
          </button>
        </div>
      )}

      {list.data && list.data.projects.length === 0 && (
        <div className="rounded-md border border-dashed border-rule p-10 text-center text-quiet">
          <p>There are no projects yet. A new one starts with one empty screen.</p>
        </div>
      )}
      {list.data && list.data.projects.length > 0 && (
        <ul
          className="divide-y divide-rule overflow-hidden rounded-md border border-rule bg-sheet"
          aria-label="Projects"
        >
          {list.data.projects.map((project) => (
            <li key={project.id} className="group flex items-center gap-4 pr-2 hover:bg-ground/60">
              <Link
                to={`/projects/${project.id}`}
                className="flex min-w-0 flex-1 items-baseline gap-4 py-3 pl-4"
              >
                <span className="truncate text-[15px] font-semibold">{project.name}</span>
                <span className="ml-auto shrink-0 text-quiet">
                  {project.screens === undefined
                    ? 'cannot be read'
                    : `${project.screens} ${project.screens === 1 ? 'screen' : 'screens'}`}
                </span>
                <span className="w-44 shrink-0 text-right text-quiet">{times.format(project.updatedAt)}</span>
              </Link>
              <Menu
                label={`More for ${project.name}`}
                button={
                  <button type="button" className="btn-bare" aria-label={`More for ${project.name}`}>
                    <MoreHorizontal size={16} />
                  </button>
                }
                entries={[
                  { label: 'Open', onSelect: () => void navigate(`/projects/${project.id}`) },
                  { label: 'Rename', onSelect: () => setNaming(project) },
                  {
                    label: 'Take it out as a file',
                    onSelect: () => downloadFrom(api.projectZipAddress(project.id), ''),
                  },
                  { label: 'Duplicate', onSelect: () => act.mutate(() => api.duplicate(project.id)) },
                  {
                    label: 'Delete',
                    danger: true,
                    onSelect: () => {
                      act.mutate(() => api.remove(project.id));
                      setJustDeleted(project);
                    },
                  },
                ]}
              />
            </li>
          ))}
        </ul>
      )}

      {list.data && list.data.deleted.length > 0 && (
        <details className="text-quiet">
          <summary className="cursor-pointer">Deleted projects ({list.data.deleted.length})</summary>
          <ul
            className="mt-2 divide-y divide-rule rounded-md border border-rule"
            aria-label="Deleted projects"
          >
            {list.data.deleted.map((project) => (
              <li key={project.id} className="flex items-center justify-between gap-4 py-1.5 pr-2 pl-4">
                <span className="truncate">{project.name}</span>
                <button
                  type="button"
                  className="btn"
                  onClick={() => act.mutate(() => api.restore(project.id))}
                >
                  Bring back
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}

      {naming && (
        <NameDialog
          title={naming === 'new' ? 'New project' : `Rename “${naming.name}”`}
          initial={naming === 'new' ? '' : naming.name}
          action={naming === 'new' ? 'Create' : 'Rename'}
          onClose={() => setNaming(undefined)}
          onName={async (name) => {
            if (naming === 'new') await create(name);
            else await act.mutateAsync(() => api.rename(naming.id, name));
          }}
        />
      )}
    </main>
  );
}

/** Chooses a project's file to bring in. */
function BringIn({ isBusy, onFile }: { isBusy: boolean; onFile: (file: File) => void }) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={field}
        type="file"
        accept=".zip,application/zip"
        className="hidden"
        aria-label="A project’s file"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);
          // The same file can be chosen again, once it is mended.
          event.target.value = '';
        }}
      />
      <button
        type="button"
        className="btn"
        disabled={isBusy}
        title="A project that was taken out as a file (.hovrin.zip); it can be dropped here, too"
        onClick={() => field.current?.click()}
      >
        <FolderInput size={15} aria-hidden /> Bring in
      </button>
    </>
  );
}

/** All that keeps a file out, a line each. */
function NotBroughtIn({ name, message, onClose }: { name: string; message: string; onClose: () => void }) {
  const lines = message.split('\n');
  return (
    <div role="alert" className="flex flex-col gap-2 rounded-md border border-brick bg-sheet p-4">
      <div className="flex items-center justify-between gap-4">
        <p className="font-medium">“{name}” was not brought in; nothing was changed.</p>
        <button type="button" className="btn" onClick={onClose}>
          Close
        </button>
      </div>
      <ul className="max-h-60 overflow-auto font-mono text-[12px]">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </div>
  );
}

interface NameDialogProps {
  readonly title: string;
  readonly initial: string;
  readonly action: string;
  readonly onName: (name: string) => Promise<void>;
  readonly onClose: () => void;
}

function NameDialog({ title, initial, action, onName, onClose }: NameDialogProps) {
  const [name, setName] = useState(initial);
  const [problem, setProblem] = useState<string>();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() === '') {
      setProblem('A project needs a name.');
      return;
    }
    try {
      await onName(name.trim());
      onClose();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <Dialog title={title} onClose={onClose} width={400}>
      <form onSubmit={submit} className="flex flex-col gap-3">
        <label className="flex flex-col gap-1">
          <span className="font-medium">Name</span>
          <input
            className="field"
            value={name}
            maxLength={200}
            aria-invalid={problem !== undefined}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
        <div className="flex justify-end gap-2">
          <button type="button" className="btn" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="btn btn-main">
            {action}
          </button>
        </div>
      </form>
    </Dialog>
  );
}
