/** Lets a finding or a problem stand, with the reason. */
import { type Finding, ignoreStep, locate, sourceId } from '@hovrin/core';
import { EyeOff } from 'lucide-react';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';

/** Opens the form, and puts it away. */
export const IgnoreButton = ({ asking, onAsk }: { asking: boolean; onAsk: (asking: boolean) => void }) => (
  <button
    type="button"
    className="btn-bare !h-6 text-quiet"
    aria-label="Ignore with a reason"
    title="Ignore with a reason"
    aria-expanded={asking}
    onClick={() => onAsk(!asking)}
  >
    <EyeOff size={13} />
  </button>
);

/** Asks why a finding is as it should be. */
export function IgnoreForm({
  control,
  check,
  title,
  onDone,
}: Pick<Finding, 'control' | 'check'> & { title: string; onDone: () => void }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [reason, setReason] = useState('');
  const ignore = () => {
    const found = locate(project, sourceId(control))?.control;
    if (found && reason.trim())
      editor.dispatch({
        label: `Ignore “${title}”`,
        steps: [ignoreStep(found, check, reason)],
        exact: true,
      });
    onDone();
  };
  return (
    <form
      className="flex gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        ignore();
      }}
    >
      <input
        className="field !h-6 !w-56 text-[12px]"
        aria-label="Why it is as it should be"
        placeholder="Why it is as it should be"
        // biome-ignore lint/a11y/noAutofocus: it was asked for a moment ago.
        autoFocus
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && onDone()}
      />
      <button type="submit" className="btn !h-6 text-[12px]" disabled={!reason.trim()}>
        Ignore
      </button>
    </form>
  );
}
