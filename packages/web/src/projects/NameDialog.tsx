/** Asks for the name of a project. */
import { Dialog } from '../parts/Dialog.tsx';
import { FormEnd } from '../parts/FormEnd.tsx';
import { useNaming } from './useNaming.ts';

interface NameDialogProps {
  readonly title: string;
  readonly initial: string;
  readonly action: string;
  readonly onName: (name: string) => Promise<void>;
  readonly onClose: () => void;
}

export function NameDialog({ title, initial, action, onName, onClose }: NameDialogProps) {
  const { name, setName, problem, submit } = useNaming(initial, onName, onClose);
  return (
    <Dialog title={title} onClose={onClose} width={400}>
      <form onSubmit={submit} className="flex flex-col gap-3">
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
        <FormEnd problem={problem} action={action} tellsWhenPressed onClose={onClose} />
      </form>
    </Dialog>
  );
}
