/** Parts of the list of projects: those that were deleted, and what went wrong. */
import type { ProjectSummary } from '../api.ts';

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
