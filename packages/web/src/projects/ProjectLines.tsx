/** The parts of the list of projects. */
import { MoreHorizontal } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { api, type ProjectSummary } from '../api.ts';
import { downloadFrom } from '../download.ts';
import { Menu } from '../parts/Menu.tsx';

const times = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

interface ProjectLineProps {
  readonly project: ProjectSummary;
  readonly onRename: () => void;
  readonly onDuplicate: () => void;
  readonly onDelete: () => void;
}

export function ProjectLine({ project, onRename, onDuplicate, onDelete }: ProjectLineProps) {
  const navigate = useNavigate();
  return (
    <li className="group flex items-center gap-4 pr-2 hover:bg-ground/60">
      <Link to={`/projects/${project.id}`} className="flex min-w-0 flex-1 items-baseline gap-4 py-3 pl-4">
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
          { label: 'Rename', onSelect: onRename },
          {
            label: 'Take it out as a file',
            onSelect: () => downloadFrom(api.projectZipAddress(project.id), ''),
          },
          { label: 'Duplicate', onSelect: onDuplicate },
          {
            label: 'Delete',
            danger: true,
            onSelect: onDelete,
          },
        ]}
      />
    </li>
  );
}

export function DeletedProjects({
  projects,
  onRestore,
}: {
  projects: readonly ProjectSummary[];
  onRestore: (project: ProjectSummary) => void;
}) {
  return (
    <details className="text-quiet">
      <summary className="cursor-pointer">Deleted projects ({projects.length})</summary>
      <ul className="mt-2 divide-y divide-rule rounded-md border border-rule" aria-label="Deleted projects">
        {projects.map((project) => (
          <li key={project.id} className="flex items-center justify-between gap-4 py-1.5 pr-2 pl-4">
            <span className="truncate">{project.name}</span>
            <button type="button" className="btn" onClick={() => onRestore(project)}>
              Bring back
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}

export function JustDeleted({ name, onRestore }: { name: string; onRestore: () => void }) {
  return (
    <div
      role="status"
      className="flex items-center justify-between gap-4 rounded-md border border-rule bg-sheet px-4 py-2"
    >
      <span>“{name}” was deleted.</span>
      <button type="button" className="btn" onClick={onRestore}>
        Bring it back
      </button>
    </div>
  );
}

export function NotLoaded({ message, onAgain }: { message: string; onAgain: () => void }) {
  return (
    <div
      className="flex items-center justify-between gap-4 rounded-md border border-brick bg-sheet p-4"
      role="alert"
    >
      <p>The projects could not be loaded: {message}</p>
      <button type="button" className="btn" onClick={onAgain}>
        Try again
      </button>
    </div>
  );
}
