/** A project as a card: its first screen as it is now, its name, how large it is, when it was changed. */
import { MoreHorizontal } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type ProjectSummary } from '../api.ts';
import { downloadFrom } from '../download.ts';
import { Menu } from '../parts/Menu.tsx';

const times = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

interface ProjectCardProps {
  readonly project: ProjectSummary;
  readonly onRename: () => void;
  readonly onDuplicate: () => void;
  readonly onDelete: () => void;
}

export function ProjectCard({ project, onRename, onDuplicate, onDelete }: ProjectCardProps) {
  const navigate = useNavigate();
  return (
    <li className="flex flex-col overflow-hidden rounded-md border border-rule bg-sheet hover:border-edge">
      <Link to={`/projects/${project.id}`} className="flex min-w-0 flex-1 flex-col">
        <CardPicture
          address={project.screens ? api.projectPicture(project.id, project.updatedAt) : undefined}
          none={project.screens === undefined ? 'cannot be read' : 'no screens yet'}
        />
        <span className="truncate px-3 pt-2.5 text-[15px] font-semibold">{project.name}</span>
      </Link>
      <div className="flex items-center pr-1.5 pb-1 pl-3 text-[12px] text-quiet">
        <span className="min-w-0 flex-1 truncate">
          {project.screens === undefined
            ? 'cannot be read'
            : `${project.screens} ${project.screens === 1 ? 'screen' : 'screens'}`}
          {' · '}
          {times.format(project.updatedAt)}
        </span>
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
      </div>
    </li>
  );
}

/** A picture in the shape that cards have; words in its place where there is none. */
export function CardPicture({ address, none = '' }: { address: string | undefined; none?: string }) {
  const [isMissing, setMissing] = useState(false);
  return (
    <span className="grid aspect-[8/5] w-full place-items-center overflow-hidden border-b border-rule bg-ground text-[12px] text-quiet">
      {address === undefined || isMissing ? (
        none || 'no picture'
      ) : (
        <img
          src={address}
          alt=""
          loading="lazy"
          className="size-full object-cover object-top"
          onError={() => setMissing(true)}
        />
      )}
    </span>
  );
}

/** Cards that are not there yet. */
export const CardsToCome = () => (
  <div
    role="status"
    aria-label="The projects are coming"
    className="grid grid-cols-[repeat(auto-fill,minmax(250px,1fr))] gap-4"
  >
    {[0, 1, 2].map((each) => (
      <div key={each} className="overflow-hidden rounded-md border border-rule bg-sheet">
        <div className="aspect-[8/5] animate-pulse bg-sunk motion-reduce:animate-none" />
        <div className="m-3 h-4 w-1/2 animate-pulse rounded-sm bg-sunk motion-reduce:animate-none" />
      </div>
    ))}
  </div>
);
