/** Chooses a picture of the project, or brings one in. */
import { asTyped, type Control, messageOf, type Property } from '@hovrin/core';
import { Undo2, Upload } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { pictureSteps, storePicture } from '../../editor/pictures.ts';
import { useSetProperty } from './useSetProperty.ts';

export function PictureField({
  control,
  property,
  name,
}: {
  control: Control;
  property: Property;
  name: string;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { set, rest } = useSetProperty([control], name);
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const bring = async (file: File) => {
    setBusy(true);
    setProblem(undefined);
    try {
      const asset = await storePicture(editor, file);
      editor.dispatch({
        label: `Bring in ${asset.name}`,
        steps: [
          ...pictureSteps([asset]),
          { type: 'set', control: control.id, property: property.name, value: asset.name },
        ],
      });
    } catch (error) {
      setProblem(messageOf(error));
    } finally {
      setBusy(false);
    }
  };
  const value = asTyped(control.props[property.name]) ?? '';
  return (
    <div className="flex flex-col gap-1">
      <div className="flex items-center gap-1.5">
        <label htmlFor={id} className="w-[86px] shrink-0 text-quiet">
          {property.label}
        </label>
        <select
          id={id}
          className="field flex-1"
          value={value}
          onChange={(event) => {
            set(property.name, property.label, event.target.value === '' ? null : event.target.value);
            rest();
          }}
        >
          <option value="">none</option>
          {value !== '' && !project.assets.some((asset) => asset.name === value) && (
            <option value={value}>{value}</option>
          )}
          {project.assets.map((asset) => (
            <option key={asset.name}>{asset.name}</option>
          ))}
        </select>
        <button
          type="button"
          className="btn-bare !min-w-5 !px-0"
          aria-label="Bring in a picture"
          title="Bring in a picture from this computer"
          disabled={busy}
          onClick={() => input.current?.click()}
        >
          {busy ? <Undo2 size={13} className="animate-spin" /> : <Upload size={13} />}
        </button>
        <input
          ref={input}
          type="file"
          accept="image/png,image/jpeg,image/webp,image/gif,image/svg+xml"
          className="hidden"
          aria-label="Picture file"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void bring(file);
          }}
        />
      </div>
      {problem && (
        <p role="alert" className="ml-[92px] text-[12px] text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
