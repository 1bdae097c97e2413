/** Who asks a service, and the name of the secret by which it is told. The secret itself is typed where it is tried. */
import type { Authentication, DataSource } from '@hovrin/core';
import { nameProblem } from '@hovrin/core';
import { TypedField } from '../../parts/TypedField.tsx';
import { Labelled } from './Labelled.tsx';
import type { SourceChange } from './SourceCard.tsx';

const words: Readonly<Record<Authentication['as'] | 'none', string>> = {
  none: 'nobody says who asks',
  bearer: 'a token (Bearer)',
  basic: 'a name and a password (Basic)',
  header: 'a key in a header',
};

/** What it begins with. */
function firstAuth(as: string, secret: string): Authentication | undefined {
  if (as === 'bearer') return { as, secret };
  if (as === 'basic') return { as, user: '', secret };
  return as === 'header' ? { as, header: 'X-Api-Key', secret } : undefined;
}

export function AuthFields({
  source: { name, auth },
  onChange,
}: {
  readonly source: DataSource;
  readonly onChange: (label: string, changed: SourceChange) => void;
}) {
  const set = (changed: Authentication | undefined) => onChange('Authentication', { auth: changed });
  return (
    <div className="flex flex-col gap-1">
      <Labelled words="Who asks">
        <select
          className="field flex-1"
          aria-label={`How ${name} is told who asks`}
          value={auth?.as ?? 'none'}
          onChange={({ target }) => set(firstAuth(target.value, auth?.secret ?? `${name}Secret`))}
        >
          {Object.entries(words).map(([as, said]) => (
            <option key={as} value={as}>
              {said}
            </option>
          ))}
        </select>
      </Labelled>
      {auth?.as === 'basic' && (
        <Labelled words="Name">
          <TypedField
            label={`Name by which ${name} is asked`}
            kept={auth.user}
            problemOf={() => undefined}
            onText={(user) => set({ ...auth, user })}
          />
        </Labelled>
      )}
      {auth?.as === 'header' && (
        <Labelled words="Header">
          <TypedField
            label={`Header of the key of ${name}`}
            kept={auth.header}
            problemOf={(text) => (/^[\w-]+$/.test(text) ? undefined : 'A header’s name, such as X-Api-Key.')}
            onText={(header) => set({ ...auth, header })}
          />
        </Labelled>
      )}
      {auth && (
        <Labelled
          words="Secret’s name"
          hint="The secret itself is never in the project: an event gives it by setSecret, a request brings it, or you type it here and in Try"
        >
          <TypedField
            label={`Name of the secret of ${name}`}
            kept={auth.secret}
            problemOf={nameProblem}
            onText={(secret) => set({ ...auth, secret })}
          />
        </Labelled>
      )}
    </div>
  );
}
