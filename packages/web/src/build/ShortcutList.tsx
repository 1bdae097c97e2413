/** All shortcuts, made from the commands. */
import { commandGroups, commands } from '../editor/commands/index.ts';
import { keyWords } from '../editor/keys.ts';
import { Dialog } from '../parts/Dialog.tsx';

export function ShortcutList({
  extra,
  onClose,
}: {
  extra: readonly { keys: string; label: string }[];
  onClose: () => void;
}) {
  return (
    <Dialog title="Keys" onClose={onClose} width={640}>
      <div className="columns-2 gap-8">
        {commandGroups.map((group) => (
          <section key={group} className="mb-4 break-inside-avoid">
            <h3 className="mb-1 font-semibold">{group}</h3>
            <Keys
              entries={commands.filter((command) => command.group === group && command.keys.length > 0)}
            />
          </section>
        ))}
        <section className="mb-4 break-inside-avoid">
          <h3 className="mb-1 font-semibold">See</h3>
          <Keys entries={extra.map(({ keys, label }) => ({ id: keys, label, keys: [keys] }))} />
        </section>
      </div>
    </Dialog>
  );
}

function Keys({ entries }: { entries: readonly { id: string; label: string; keys: readonly string[] }[] }) {
  return (
    <dl>
      {entries.map(({ id, label, keys }) => (
        <div key={id} className="flex justify-between gap-4 py-0.5">
          <dt>{label}</dt>
          <dd className="key whitespace-nowrap">{keys.map(keyWords).join('  ')}</dd>
        </div>
      ))}
    </dl>
  );
}
