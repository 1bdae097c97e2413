/** The project's bands: add, rename, move, remove. */
import {
  type Band,
  type ChangesGo,
  changesFrom,
  itemAt,
  removeBand,
  renameBand,
  setBand,
} from '@hovrin/core';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';

export function BandsDialog() {
  const { asking } = useEditorState('asking');
  return asking === 'bands' ? <Bands /> : null;
}

const nameProblem = (name: string, others: readonly Band[]): string | undefined =>
  !/^[a-z][a-z0-9]*$/.test(name) || ['on', 'portrait', 'landscape'].includes(name)
    ? 'A small letter first, then small letters and digits'
    : others.some((band) => band.name === name)
      ? 'There is a band of that name'
      : undefined;

function Bands() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const bands = project.bands.toSorted((a, b) => a.from - b.from);
  const add = () => {
    const last = itemAt(bands, -1);
    let count = bands.length + 1;
    while (bands.some(({ name }) => name === `band${count}`)) count++;
    editor.dispatch({
      label: 'Add a band',
      steps: setBand(project, { name: `band${count}`, label: `Band ${count}`, from: last.from + 320 }),
    });
  };
  return (
    <Dialog title="Bands" onClose={() => editor.ask(undefined)} width={660}>
      <p className="mb-3 text-quiet">
        A band holds from its width up to where the next begins. What changes from it follows when it is moved
        or renamed.
      </p>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-quiet">
            <th className="pb-1 font-normal">Label</th>
            <th className="pb-1 font-normal">Name in the source</th>
            <th className="pb-1 font-normal">From, px</th>
            <th className="pb-1 font-normal">Colour</th>
            <th className="pb-1 font-normal">Changes</th>
            <th className="pb-1">
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {bands.map((band, index) => (
            <BandRow key={band.name} band={band} bands={bands} index={index} />
          ))}
        </tbody>
      </table>
      <button type="button" className="btn mt-3" onClick={add}>
        <Plus size={14} aria-hidden /> Add a band
      </button>
    </Dialog>
  );
}

/** What keeps a band from beginning at a width; undefined: nothing. */
function fromProblem(text: string, others: readonly Band[]): string | undefined {
  const from = Number(text);
  if (text.trim() === '' || !Number.isFinite(from) || from < 0) return 'A width of 0 or more';
  return others.some((each) => each.from === from) ? 'Another band begins there' : undefined;
}

function useRemoveBand(band: Band) {
  const { editor } = useWorkplace();
  const { project, scope } = useEditorState('project', 'scope');
  return (go: ChangesGo) => {
    if (scope === band.name) editor.editFor('');
    editor.dispatch({
      label: `Remove band ${band.label}`,
      steps: removeBand(project, band.name, go),
      exact: true,
    });
  };
}

function BandRow({ band, bands, index }: { band: Band; bands: readonly Band[]; index: number }) {
  const { editor } = useWorkplace();
  const { project, scope } = useEditorState('project', 'scope');
  const [removing, setRemoving] = useState(false);
  const [below, above] = [bands[index - 1], bands[index + 1]];
  const count = changesFrom(project, band.name);
  const others = bands.filter((each) => each !== band);
  const remove = useRemoveBand(band);
  return (
    <>
      <tr>
        <td className="pr-2 pb-1.5">
          <Typed
            label={`Label of ${band.label}`}
            value={band.label}
            problemOf={(text) => (text.trim() === '' ? 'A band has a label' : undefined)}
            onValue={(label) =>
              editor.dispatch({ label: `Call band ${label}`, steps: setBand(project, { ...band, label }) })
            }
          />
        </td>
        <td className="pr-2 pb-1.5">
          <Typed
            label={`Name of ${band.label}`}
            value={band.name}
            mono
            problemOf={(text) => nameProblem(text, others)}
            onValue={(name) => {
              if (scope === band.name) editor.editFor(name);
              editor.dispatch({
                label: `Rename band ${band.name} to ${name}`,
                steps: renameBand(project, band.name, name),
                exact: true,
              });
            }}
          />
        </td>
        <td className="w-24 pr-2 pb-1.5">
          <Typed
            label={`${band.label} begins at`}
            value={String(band.from)}
            problemOf={(text) => fromProblem(text, others)}
            onValue={(text) =>
              editor.dispatch({
                label: `Begin ${band.label} at ${text}`,
                steps: setBand(project, { ...band, from: Number(text) }),
              })
            }
          />
        </td>
        <td className="pr-2 pb-1.5">
          <BandColour band={band} />
        </td>
        <td className="pb-1.5 text-center font-mono text-quiet">{count}</td>
        <td className="pb-1.5 text-right">
          <button
            type="button"
            className="btn-bare"
            aria-label={`Remove ${band.label}`}
            title={bands.length === 1 ? 'A project has at least one band' : `Remove ${band.label}`}
            disabled={bands.length === 1}
            onClick={() => (count === 0 ? remove(below ? 'below' : 'away') : setRemoving(!removing))}
          >
            <Trash2 size={14} />
          </button>
        </td>
      </tr>
      {removing && <Removing band={band} below={below} above={above} onKeep={() => setRemoving(false)} />}
    </>
  );
}

function BandColour({ band }: { band: Band }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  return (
    <input
      type="color"
      aria-label={`Colour of ${band.label}`}
      title={`Colour of ${band.label} on the ruler`}
      className="h-7 w-9 cursor-pointer rounded-md border border-rule bg-sheet p-0.5"
      value={band.color ?? '#d6cfbf'}
      onChange={(event) =>
        editor.dispatch({
          label: `Colour of band ${band.label}`,
          steps: setBand(project, { ...band, color: event.target.value.toLowerCase() }),
          group: `band colour ${band.name}`,
        })
      }
    />
  );
}

/** Asks what becomes of the changes that hang on a band. */
function Removing({
  band,
  below,
  above,
  onKeep,
}: {
  band: Band;
  below: Band | undefined;
  above: Band | undefined;
  onKeep: () => void;
}) {
  const { project } = useEditorState('project');
  const [go, setGo] = useState<ChangesGo>(below ? 'below' : 'away');
  const remove = useRemoveBand(band);
  const count = changesFrom(project, band.name);
  return (
    <tr>
      <td colSpan={6} className="pb-3">
        <div className="flex items-center gap-2 rounded-md bg-sunk p-2">
          <label className="flex items-center gap-2">
            {count} {count === 1 ? 'change hangs' : 'changes hang'} on it.
            <select
              className="field !w-52"
              value={go}
              onChange={(event) => setGo(event.target.value as ChangesGo)}
            >
              {below && <option value="below">They go to {below.label}</option>}
              {above && <option value="above">They go to {above.label}</option>}
              <option value="away">They go away</option>
            </select>
          </label>
          <button type="button" className="btn ml-auto" onClick={onKeep}>
            Keep it
          </button>
          <button type="button" className="btn btn-main" onClick={() => remove(go)}>
            Remove
          </button>
        </div>
      </td>
    </tr>
  );
}

/** A field that holds as soon as it is left with something that can be. */
function Typed({
  label,
  value,
  mono,
  problemOf,
  onValue,
}: {
  label: string;
  value: string;
  mono?: boolean;
  problemOf: (text: string) => string | undefined;
  onValue: (text: string) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const problem = typed === undefined || typed === value ? undefined : problemOf(typed);
  const commit = () => {
    if (typed !== undefined && typed !== value && !problem) onValue(typed.trim());
    setTyped(undefined);
  };
  return (
    <input
      className={`field ${mono ? 'font-mono' : ''}`}
      aria-label={label}
      aria-invalid={problem !== undefined}
      title={problem ?? label}
      value={typed ?? value}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape' && typed !== undefined) {
          event.stopPropagation();
          setTyped(undefined);
        }
      }}
    />
  );
}
