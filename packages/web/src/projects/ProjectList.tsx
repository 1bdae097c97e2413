/** The list of projects: open, new, rename, duplicate, delete with a way back. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { type ReactNode, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type ProjectSummary } from '../api.ts';
import { hasWords } from '../parts/words.ts';
import { BringIn, NotBroughtIn } from './BringIn.tsx';
import { NameDialog } from './NameDialog.tsx';
import { NewProject } from './NewProject.tsx';
import { CardsToCome, ProjectCard } from './ProjectCard.tsx';
import { DeletedProjects, JustDeleted, NotLoaded } from './ProjectLines.tsx';

const listKey = ['projects'];

/** The projects of the server, and what is done with them: the list is asked for anew after each. */
function useProjects() {
  const queries = useQueryClient();
  const list = useQuery({ queryKey: listKey, queryFn: api.list });
  const act = useMutation({
    mutationFn: (work: () => Promise<unknown>) => work(),
    onSettled: () => queries.invalidateQueries({ queryKey: listKey }),
  });
  const bringing = useMutation({
    mutationFn: (file: File) => api.bringIn(file),
    onSettled: () => queries.invalidateQueries({ queryKey: listKey }),
  });
  return { list, act, bringing };
}

export function ProjectList() {
  const navigate = useNavigate();
  const { list, act, bringing } = useProjects();
  const [naming, setNaming] = useState<ProjectSummary | 'new'>();
  const [justDeleted, setJustDeleted] = useState<ProjectSummary>();
  useEffect(() => {
    document.title = 'Projects · Hovrin';
  }, []);

  const bringIn = (file: File) =>
    bringing.mutate(file, { onSuccess: ({ id }) => void navigate(`/projects/${id}`) });
  const create = async (name: string, starter: string | undefined) => {
    const { id } = await api.create(name, starter);
    await navigate(`/projects/${id}`);
  };

  return (
    <main
      className="mx-auto flex min-h-full max-w-5xl flex-col gap-6 px-6 py-10"
      onDragOver={(event) => event.dataTransfer.types.includes('Files') && event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) bringIn(file);
      }}
    >
      <Head isBusy={bringing.isPending} onFile={bringIn} onNew={() => setNaming('new')} />

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

      {list.isPending && <CardsToCome />}
      {list.isError && <NotLoaded message={list.error.message} onAgain={() => void list.refetch()} />}
      {act.isError && (
        <p role="alert" className="text-brick">
          {act.error.message}
        </p>
      )}
      {justDeleted && (
        <JustDeleted
          name={justDeleted.name}
          onRestore={() => {
            act.mutate(() => api.restore(justDeleted.id));
            setJustDeleted(undefined);
          }}
        />
      )}

      {list.data && list.data.projects.length === 0 && (
        <div className="rounded-md border border-dashed border-rule p-10 text-center text-quiet">
          <p>There are no projects yet. A new one begins with one empty screen, or as a starter.</p>
        </div>
      )}
      {list.data && list.data.projects.length > 0 && (
        <Cards projects={list.data.projects}>
          {(project) => (
            <ProjectCard
              key={project.id}
              project={project}
              onRename={() => setNaming(project)}
              onDuplicate={() => act.mutate(() => api.duplicate(project.id))}
              onDelete={() => {
                act.mutate(() => api.remove(project.id));
                setJustDeleted(project);
              }}
            />
          )}
        </Cards>
      )}

      {list.data && list.data.deleted.length > 0 && (
        <DeletedProjects
          projects={list.data.deleted}
          onRestore={({ id }) => act.mutate(() => api.restore(id))}
        />
      )}

      {naming === 'new' && <NewProject onClose={() => setNaming(undefined)} onCreate={create} />}
      {naming && naming !== 'new' && (
        <NameDialog
          title={`Rename “${naming.name}”`}
          initial={naming.name}
          action="Rename"
          onClose={() => setNaming(undefined)}
          onName={async (name) => {
            await act.mutateAsync(() => api.rename(naming.id, name));
          }}
        />
      )}
    </main>
  );
}

/** With so many projects one is looked for by its name. */
const manyProjects = 4;

/** The cards of some projects; those that answer what is typed, where there are many. */
function Cards({
  projects,
  children,
}: {
  projects: readonly ProjectSummary[];
  children: (project: ProjectSummary) => ReactNode;
}) {
  const [typed, setTyped] = useState('');
  const found = projects.filter(({ name }) => hasWords(name, typed));
  return (
    <>
      {projects.length >= manyProjects && (
        <input
          type="search"
          className="field max-w-72"
          aria-label="Find a project"
          placeholder="Find a project"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(250px,1fr))] gap-4" aria-label="Projects">
        {found.map(children)}
      </ul>
      {found.length === 0 && <p className="text-quiet">No project is called “{typed}”.</p>}
    </>
  );
}

function Head({
  isBusy,
  onFile,
  onNew,
}: {
  isBusy: boolean;
  onFile: (file: File) => void;
  onNew: () => void;
}) {
  return (
    <header className="flex items-end justify-between gap-4">
      <div>
        <p className="flex items-center gap-2 font-semibold text-spruce">
          <img src="/mark.svg" alt="" width={18} height={18} /> Hovrin
        </p>
        <h1 className="mt-1 text-2xl font-semibold">Projects</h1>
      </div>
      <div className="flex gap-2">
        <BringIn isBusy={isBusy} onFile={onFile} />
        <button type="button" className="btn btn-main" onClick={onNew}>
          <Plus size={15} aria-hidden /> New project
        </button>
      </div>
    </header>
  );
}
