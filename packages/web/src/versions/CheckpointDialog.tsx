/** Gives the version as it is a name and a note, or another name to one that has some. */
import { type Checkpoint, messageOf } from '@hovrin/core';
import { useState } from 'react';
import { api } from '../api.ts';
import { useWorkplace } from '../editor/context.tsx';
import { Dialog } from '../parts/Dialog.tsx';
import { FormEnd } from '../parts/FormEnd.tsx';

interface CheckpointDialogProps {
  /** Undefined: a new one. */
  readonly checkpoint: Checkpoint | undefined;
  readonly revision: number;
  readonly onClose: () => void;
  readonly onDone: () => void;
}

export function CheckpointDialog({ checkpoint, revision, onClose, onDone }: CheckpointDialogProps) {
  const { editor } = useWorkplace();
  const { projectId } = editor;
  const [name, setName] = useState(checkpoint?.name ?? '');
  const [note, setNote] = useState(checkpoint?.note ?? '');
  const [problem, setProblem] = useState<string>();
  const save = async () => {
    if (name.trim() === '') {
      setProblem('A version needs a name.');
      return;
    }
    try {
      if (checkpoint) await api.changeCheckpoint(projectId, { ...checkpoint, name, note });
      else {
        await editor.settled();
        await api.addCheckpoint(projectId, {
          name,
          note,
          revision: Math.max(revision, editor.state.revision),
        });
      }
      onDone();
      onClose();
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  return (
    <Dialog title={checkpoint ? 'Name of the version' : 'Name this version'} onClose={onClose} width={440}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <label className="flex flex-col gap-1">
          <span className="text-quiet">Name</span>
          <input
            className="field"
            value={name}
            maxLength={120}
            onChange={({ target }) => setName(target.value)}
          />
        </label>
        <label className="flex flex-col gap-1">
          <span className="text-quiet">Note</span>
          <textarea
            className="field !h-20 py-1"
            value={note}
            maxLength={2000}
            onChange={({ target }) => setNote(target.value)}
          />
        </label>
        <FormEnd
          problem={problem}
          action={checkpoint ? 'Keep it' : 'Name it'}
          tellsWhenPressed
          onClose={onClose}
        />
      </form>
    </Dialog>
  );
}
