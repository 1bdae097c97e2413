/** All commands with their keys: to look one up, and to give it where it has no keys or they are not known. */
import { type KeyboardEvent, useCallback, useState } from 'react';
import { canRun, commands, runCommand } from '../../editor/commands/index.ts';
import { useWorkplace } from '../../editor/context.tsx';
import { isMac, keyWords } from '../../editor/keys.ts';
import { giveKeys, keysNow, pressedKeys, switchLetters, useKeyWishes } from '../../editor/ownKeys.ts';
import { Dialog } from '../../parts/Dialog.tsx';
import { FindList } from '../../parts/FindList.tsx';
import { hasWords } from '../../parts/words.ts';

/** Something that can be done by keys, or is only done here. */
interface Entry {
  /** By which its own keys are kept. */
  readonly id: string;

  readonly label: string;
  readonly group: string;
  readonly keys: readonly string[];
  readonly findBy?: string | undefined;
  readonly can: boolean;
  readonly run: () => void;
}

/** Whether each word that was typed stands in the name of an entry, its group, its keys or other words for it. */
const answers = ({ id, label, group, keys, findBy = '' }: Entry, typed: string): boolean =>
  hasWords(`${label} ${group} ${keysNow(id, keys).map(keyWords).join(' ')} ${findBy}`, typed);

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
          id: command.id,
          label: command.label,
          group: command.group,
          keys: command.keys,
          findBy: command.findBy,
          can: canRun(editor, command),
          run: () => runCommand(editor, command),
        }),
      ),
      ...extra.map(
        ({ keys, label, run }): Entry => ({ id: label, label, group: 'See', keys: [keys], can: true, run }),
      ),
    ].toSorted((one, other) => Number(other.can) - Number(one.can)),
  );
  const [chosen, setChosen] = useState<Entry>();
  useKeyWishes();
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
        onChosen={setChosen}
        row={({ id, label, group, keys, can }) => (
          <>
            <span className={can ? '' : 'text-quiet'}>
              {label}
              {!can && <span className="text-[12px]"> · not for what is selected now</span>}
            </span>
            <span className="ml-auto shrink-0 text-[11px] text-quiet">{group}</span>
            <span className="key w-36 shrink-0 text-right whitespace-nowrap">
              {keysNow(id, keys).map(keyWords).join('  ')}
            </span>
          </>
        )}
        none={(typed) => `No command is called “${typed}”.`}
      />
      <KeysOf entry={chosen} all={entries} />
    </Dialog>
  );
}

/** The keys of the chosen command, to be changed; and whether single letters are keys at all. */
function KeysOf({ entry, all }: { entry: Entry | undefined; all: readonly Entry[] }) {
  const { letters, own } = useKeyWishes();
  const [isAsking, setAsking] = useState(false);
  const [said, setSaid] = useState('');
  const ask = (event: KeyboardEvent<HTMLButtonElement>) => {
    if (!isAsking || !entry) return;
    event.preventDefault();
    event.stopPropagation();
    const keys = pressedKeys(event.nativeEvent, isMac);
    if (keys === undefined) return;
    setAsking(false);
    if (keys === 'Escape') return;
    const other = all.find((each) => each.id !== entry.id && keysNow(each.id, each.keys).includes(keys));
    setSaid(other ? `${keyWords(keys)} is the key of “${other.label}” already.` : '');
    if (!other) giveKeys(entry.id, keys);
  };
  return (
    <div className="mt-3 flex flex-col gap-2 border-t border-rule pt-3">
      {entry && (
        <div className="flex items-center gap-2">
          <span className="min-w-0 flex-1 truncate">{entry.label}</span>
          <button
            type="button"
            className="btn"
            aria-pressed={isAsking}
            data-keeps-escape
            onClick={() => setAsking(!isAsking)}
            onBlur={() => setAsking(false)}
            onKeyDown={ask}
          >
            {isAsking ? 'Press the keys …' : 'Change its keys'}
          </button>
          <button
            type="button"
            className="btn"
            disabled={own[entry.id] === undefined}
            onClick={() => giveKeys(entry.id, undefined)}
          >
            As it was
          </button>
        </div>
      )}
      {said && (
        <p role="alert" className="text-brick">
          {said}
        </p>
      )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="accent-spruce"
          checked={letters}
          onChange={(event) => switchLetters(event.target.checked)}
        />
        Single letters are keys where the bench or the tree has the focus
      </label>
    </div>
  );
}
