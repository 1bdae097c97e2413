/** Secrets that services are asked with, typed for this window alone: they are in no file and no trace. */
import type { Project } from '@hovrin/core';
import { useState } from 'react';
import { secretHere, setSecretHere } from '../secretsHere.ts';

interface SecretFieldsProps {
  readonly project: Project;
  readonly projectId: string;
  readonly onSecret: (name: string, text: string) => void;
}

/** The names of the secrets that a project's services are asked with. */
const secretNames = ({ sources = [] }: Project): readonly string[] => [
  ...new Set(sources.flatMap(({ auth }) => auth?.secret ?? [])),
];

export function SecretFields({ project, projectId, onSecret }: SecretFieldsProps) {
  return secretNames(project).map((name) => (
    <SecretField key={name} name={name} projectId={projectId} onSecret={onSecret} />
  ));
}

function SecretField({
  name,
  projectId,
  onSecret,
}: { readonly name: string } & Omit<SecretFieldsProps, 'project'>) {
  const [text, setText] = useState(() => secretHere(projectId, name));
  return (
    <label className="flex items-center gap-1.5">
      <span className="text-quiet">Secret {name}</span>
      <input
        type="password"
        autoComplete="off"
        className="field !h-6 !w-32"
        title="Services are asked with it in Try. It stays in this window, and is saved nowhere"
        value={text}
        onChange={({ target }) => {
          setText(target.value);
          setSecretHere(projectId, name, target.value);
          onSecret(name, target.value);
        }}
      />
    </label>
  );
}
