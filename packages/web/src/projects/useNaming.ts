/** A project's name while it is typed, and what is wrong with it. */
import { messageOf } from '@hovrin/core';
import { type FormEvent, useState } from 'react';

/**
 * @param initial the name to begin with.
 * @param onName takes the name, without spaces around it; what it throws is told.
 * @param onClose it was taken.
 */
export function useNaming(initial: string, onName: (name: string) => Promise<void>, onClose: () => void) {
  const [name, setName] = useState(initial);
  const [problem, setProblem] = useState<string>();
  const [isBusy, setBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() === '') {
      setProblem('A project needs a name.');
      return;
    }
    if (isBusy) return;
    setBusy(true);
    try {
      await onName(name.trim());
      onClose();
    } catch (error) {
      setProblem(messageOf(error));
      setBusy(false);
    }
  };
  return { name, setName, problem, submit };
}
