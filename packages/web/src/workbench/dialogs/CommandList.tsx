/** All commands with their keys: to look one up, and to give it where it has no keys or they are not known. */
import { useCallback, useState } from 'react';
import { canRun, commands, runCommand } from '../../editor/commands/index.ts';
import { useWorkplace } from '../../editor/context.tsx';
import { keyWords } from '../../editor/keys.ts';
import { Dialog } from '../../parts/Dialog.tsx';
import { FindList } from '../../parts/FindList.tsx';
import { hasWords } from '../../parts/words.ts';

/** Something that can be done by keys, or is only done here. */
interface Entry {
  readonly label: string;
  readonly group: string;
  readonly keys: readonly string[];
  readonly findBy?: string | undefined;
  readonly can: boolean;
  readonly run: () => void;
}

/** Whether each word that was typed stands in the name of an entry, its group, its keys or other words for it. */
const answers = ({ label, group, keys, findBy = '' }: Entry, typed: string): boolean =>
  hasWords(`${label} ${group} ${keys.map(keyWords).join(' ')} ${findBy}`, typed);

/** @param extra what belongs to the place alone, not to the document. */
export function CommandList({
  extra,
  onClose,
}: {
  extra: readonly { keys: string; label: string; run: () => void }[];
  onClose: () => void;
}) {
  const { editor } = useWorkplace();
  // What can be done is asked once: some commands lay the screen out to find out, and nothing changes meanwhile.
  const [entries] = useState(() =>
    [
      ...commands.map(
        (command): Entry => ({
          label: command.label,
          group: command.group,
          keys: command.keys,
          findBy: command.findBy,
          can: canRun(editor, command),
          run: () => runCommand(editor, command),
        }),
      ),
      ...extra.map(({ keys, label, run }): Entry => ({ label, group: 'See', keys: [keys], can: true, run })),
    ].toSorted((one, other) => Number(other.can) - Number(one.can)),
  );
  const find = useCallback((typed: string) => entries.filter((entry) => answers(entry, typed)), [entries]);
  return (
    <Dialog title="Commands" onClose={onClose} width={600}>
      <FindList
        label="Command"
        listLabel="Commands"
        placeholder="Type what to do, such as “line up”, or a key"
        find={find}
        keyOf={({ group, label }) => `${group} ${label}`.replaceAll(/\W+/g, '-')}
        onTake={({ can, run }) => {
          if (!can) return;
          onClose();
          // The dialog gives the focus back first.
          setTimeout(run);
        }}
        row={({ label, group, keys, can }) => (
          <>
            <span className={can ? '' : 'text-quiet'}>
              {label}
              {!can && <span className="text-[12px]"> · not for what is selected now</span>}
            </span>
            <span className="ml-auto shrink-0 text-[11px] text-quiet">{group}</span>
            <span className="key w-36 shrink-0 text-right whitespace-nowrap">
              {keys.map(keyWords).join('  ')}
            </span>
          </>
        )}
        none={(typed) => `No command is called “${typed}”.`}
      />
    </Dialog>
  );
}
