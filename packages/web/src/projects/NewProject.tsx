/** A new project: its name, and what it begins as. */
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api.ts';
import { Dialog } from '../parts/Dialog.tsx';
import { FormEnd } from '../parts/FormEnd.tsx';
import { CardPicture } from './ProjectCard.tsx';
import { useNaming } from './useNaming.ts';

interface NewProjectProps {
  /** @param starter undefined: one empty screen. */
  readonly onCreate: (name: string, starter: string | undefined) => Promise<void>;
  readonly onClose: () => void;
}

const empty = { id: '', name: 'Empty', description: 'One empty screen.' };

export function NewProject({ onCreate, onClose }: NewProjectProps) {
  const [starter, setStarter] = useState('');
  const { name, setName, problem, submit } = useNaming(
    '',
    (named) => onCreate(named, starter || undefined),
    onClose,
  );
  const starters = useQuery({
    queryKey: ['starters'],
    queryFn: api.starters,
    staleTime: Number.POSITIVE_INFINITY,
  });
  return (
    <Dialog title="New project" onClose={onClose} width={980}>
      <form onSubmit={submit} className="flex flex-col gap-4">
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
        <fieldset className="flex min-h-0 flex-col gap-1">
          <legend className="mb-1 font-medium">Begins as</legend>
          <div className="grid grid-cols-[repeat(auto-fill,minmax(200px,1fr))] gap-3">
            {[empty, ...(starters.data?.starters ?? [])].map((each) => (
              <label
                key={each.id}
                className={`relative flex cursor-pointer flex-col overflow-hidden rounded-md border has-focus-visible:outline-2 has-focus-visible:outline-lake ${starter === each.id ? 'border-spruce ring-2 ring-spruce' : 'border-edge'}`}
              >
                <input
                  type="radio"
                  name="starter"
                  className="absolute top-2 left-2 accent-spruce"
                  value={each.id}
                  checked={starter === each.id}
                  onChange={() => setStarter(each.id)}
                />
                <CardPicture
                  address={each.id === '' ? undefined : api.starterPicture(each.id)}
                  none={each.id === '' ? 'nothing yet' : ''}
                />
                <span className="px-2.5 pt-1.5 font-medium">{each.name}</span>
                <span className="mb-2 min-h-8 px-2.5 text-[12px] leading-4 text-quiet">
                  {each.description}
                </span>
              </label>
            ))}
            {starters.isPending &&
              // As large as what comes, so that nothing moves under the pointer.
              ['a', 'b', 'c', 'd', 'e', 'f'].map((key) => (
                <div
                  key={key}
                  aria-hidden
                  className="flex flex-col overflow-hidden rounded-md border border-rule"
                >
                  <CardPicture address={undefined} none="" />
                  <span className="h-[26px]" />
                  <span className="mb-2 min-h-8" />
                </div>
              ))}
          </div>
          {starters.isError && (
            <p className="text-quiet">The other starters could not be loaded: {starters.error.message}</p>
          )}
        </fieldset>
        <FormEnd problem={problem} action="Create" tellsWhenPressed onClose={onClose} />
      </form>
    </Dialog>
  );
}
