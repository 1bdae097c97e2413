/** What visitors keep: the version of its shape, and how what an older version kept is taken over. */
import { projectValueOf, settingProject } from '@hovrin/core';
import { useId, useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';

export function KeptSettings() {
  const { project } = useEditorState('project');
  const kept = project.state.filter((variable) => variable.kept && variable.computed === undefined);
  if (kept.length === 0) return null;
  const version = project.keptVersion ?? '1';
  return (
    <section aria-label="Kept values" className="flex flex-col gap-2">
      <h2 className="text-[15px] font-semibold">Kept values</h2>
      <p className="text-quiet">
        {kept.map(({ name }) => name).join(', ')} {kept.length === 1 ? 'lies' : 'lie'} in each visitor’s
        browser under <code className="font-mono">{project.id ?? project.name}</code>. When what one of them
        holds gets another shape, raise the version, and say how the values of an older one become those of
        the new one.
      </p>
      <div className="flex flex-wrap items-start gap-4 rounded-md border border-rule bg-sheet p-3">
        <SettingField label="Version" name="keptVersion" value={version} width="w-20" />
        <SettingField
          label="From an older version"
          name="keptMigration"
          value={project.keptMigration ?? ''}
          width="min-w-80 flex-1"
          placeholder={`{ ...kept, ${kept[0]!.name}: … }`}
        />
      </div>
      {Number(version) > 1 && project.keptMigration === undefined && (
        <p className="text-[12px] text-quiet">
          Nothing is said of older versions: values that still fit stay, all others begin anew.
        </p>
      )}
    </section>
  );
}

/** A value of the project that is taken once it is valid and left. */
function SettingField({
  label,
  name,
  value,
  width,
  placeholder,
}: {
  label: string;
  name: 'keptVersion' | 'keptMigration';
  value: string;
  width: string;
  placeholder?: string;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const wanted = typed?.trim();
  const problem = wanted === undefined || wanted === '' ? undefined : projectValueOf(name).problem(wanted);
  const take = () => {
    if (wanted === undefined || problem) return;
    editor.dispatch({
      label: `${label} of kept values`,
      steps: settingProject(project, name, wanted === '' ? null : wanted),
    });
    setTyped(undefined);
  };
  return (
    <div className={`flex flex-col gap-1 ${width}`}>
      <label htmlFor={id} className="text-quiet">
        {label}
      </label>
      <input
        id={id}
        className="field font-mono text-[12px]"
        spellCheck={false}
        placeholder={placeholder}
        aria-invalid={problem !== undefined}
        value={typed ?? value}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take();
          if (event.key === 'Escape') setTyped(undefined);
        }}
      />
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
