/** One screen on the map: what it is in the application, the ways from it and to it, and a new way drawn by keys. */
import {
  addWay,
  asTyped,
  type Control,
  inForce,
  isDialog,
  isInMenu,
  kindOf,
  namesOn,
  type Project,
  sourceId,
  startScreen,
  type Way,
  walk,
} from '@hovrin/core';
import { ArrowLeft, ArrowRight, Hammer, Plus } from 'lucide-react';
import { useState } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { TypedField } from '../parts/TypedField.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { movedScreen } from './folderSteps.ts';
import type { MapCard } from './mapModel.ts';
import { MarkIcon, markWords } from './ScreenCard.tsx';
import { controlName } from './WayDetails.tsx';
import { goingWords, wayKey } from './words.ts';

interface ScreenDetailsProps {
  readonly project: Project;
  readonly card: MapCard;
  readonly ways: readonly Way[];
  /** The screens that were gone through to get here. */
  readonly trail: readonly string[];
  readonly onGo: (screen: string) => void;
  readonly onBack: () => void;
  readonly onWay: (key: string) => void;
}

export function ScreenDetails({ project, card, ways, trail, onGo, onBack, onWay }: ScreenDetailsProps) {
  const { editor } = useWorkplace();
  const goTo = useGoTo();
  const screen = project.screens.find(({ id }) => id === card.id);
  if (!screen) return null;
  const { name } = card;
  const from = ways.filter((way) => way.from === name && way.to !== name);
  const own = from.filter(({ isAround }) => !isAround);
  const around = from.filter(({ isAround }) => isAround);
  const to = ways.filter((way) => way.to === name && way.from !== name && !way.isAround);
  return (
    <section aria-label={`Screen ${name}`} className="flex flex-col gap-3">
      {trail.length > 0 && (
        <p className="flex items-center gap-1.5 text-[12px] text-quiet">
          <button type="button" className="btn-bare !h-6" onClick={onBack}>
            <ArrowLeft size={13} aria-hidden /> Back
          </button>
          <span className="truncate">{[...trail, name].join(' › ')}</span>
        </p>
      )}
      <h2 className="flex items-center gap-2 text-[15px] font-semibold">
        <span className="truncate">{name}</span>
        <span className="flex-1" />
        <button
          type="button"
          className="btn"
          onClick={() => {
            editor.showScreen(screen.id);
            goTo('');
          }}
        >
          <Hammer size={14} aria-hidden /> Build it
        </button>
      </h2>
      {card.marks.length > 0 && (
        <ul className="flex flex-wrap gap-x-3 gap-y-1">
          {card.marks.map((mark) => (
            <li key={mark} className="flex items-center gap-1">
              <MarkIcon mark={mark} /> {markWords(mark)}
            </li>
          ))}
        </ul>
      )}
      <Settings project={project} screen={screen} />
      <WayList title="Ways from here" ways={own} project={project} end="to" onGo={onGo} onWay={onWay} />
      <NewWay key={screen.id} project={project} screen={screen} />
      {around.length > 0 && (
        <details>
          <summary className="cursor-pointer text-quiet">From its surround: {around.length}</summary>
          <WayList ways={around} project={project} end="to" onGo={onGo} onWay={onWay} />
        </details>
      )}
      <WayList title="Ways to here" ways={to} project={project} end="from" onGo={onGo} onWay={onWay} />
    </section>
  );
}

interface WayListProps {
  readonly title?: string;
  readonly ways: readonly Way[];
  readonly project: Project;
  /** Which end is told, and gone to. */
  readonly end: 'from' | 'to';
  readonly onGo: (screen: string) => void;
  readonly onWay: (key: string) => void;
}

function WayList({ title, ways, project, end, onGo, onWay }: WayListProps) {
  return (
    <div>
      {title && <h3 className="mb-1 font-semibold">{title}</h3>}
      {ways.length === 0 && <p className="text-quiet">None.</p>}
      <ul className="flex flex-col">
        {ways.map((way) => {
          const other = way[end];
          return (
            <li key={wayKey(way)} className="flex items-center gap-1">
              <button
                type="button"
                className="min-w-0 flex-1 truncate rounded-sm px-1.5 py-1 text-left hover:bg-sunk"
                onClick={() => onWay(wayKey(way))}
              >
                <code className="font-mono text-[12px]">{controlName(project, way)}</code>{' '}
                <span className="text-quiet">{end === 'to' ? goingWords[way.by] : `on ${way.from}`}</span>{' '}
                {end === 'to' && (other ?? (way.by === 'go' ? 'a screen that is only known as it runs' : ''))}
              </button>
              {other !== undefined && project.screens.some((screen) => screen.name === other) && (
                <button
                  type="button"
                  className="btn-bare !h-6 !min-w-6"
                  aria-label={`Go to ${other}`}
                  title={`Go to ${other}`}
                  onClick={() => onGo(other)}
                >
                  <ArrowRight size={14} />
                </button>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

/** The part that a screen has in the application: first, in the menu, in a folder, a splash. */
function Settings({ project, screen }: { readonly project: Project; readonly screen: Control }) {
  const { editor } = useWorkplace();
  const { name = '' } = screen;
  const set = (property: string, value: string | null, label: string) =>
    editor.dispatch({ label, steps: [{ type: 'set', control: screen.id, property, value }], exact: true });
  const isStart = startScreen(project) === screen;
  const folder = (project.folders ?? []).find(({ screens }) => screens.includes(name))?.name ?? '';
  const isKeptOut = (project.folders ?? []).some(
    (each) => each.menu === false && each.screens.includes(name),
  );
  const inMenu = isInMenu(screen, project.folders);
  const isOver = isDialog(screen);
  return (
    <div className="flex flex-col gap-2">
      {!isOver && (
        <>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={isStart}
              disabled={isStart}
              onChange={() =>
                editor.dispatch({
                  label: `Open ${name} first`,
                  steps: [{ type: 'project', key: 'start', value: name }],
                })
              }
            />
            Opens first
          </label>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={inMenu}
              onChange={({ target }) =>
                set(
                  'menu',
                  target.checked ? (isKeptOut ? 'true' : null) : isKeptOut ? null : 'false',
                  target.checked ? `${name} in the menu` : `${name} out of the menu`,
                )
              }
            />
            In the application’s menu
          </label>
        </>
      )}
      <label className="flex items-center gap-2">
        <span className="w-20 shrink-0">Folder</span>
        <select
          className="field"
          value={folder}
          onChange={({ target }) =>
            editor.dispatch({
              label: `Put ${name} into ${target.value || 'no folder'}`,
              steps: movedScreen(project, screen, target.value || undefined),
            })
          }
        >
          <option value="">none</option>
          {(project.folders ?? []).map((each) => (
            <option key={each.name}>{each.name}</option>
          ))}
        </select>
      </label>
      {isStart && !isOver && (
        <Splash screen={screen} onSeconds={(text) => set('splash', text, `Splash of ${name}`)} />
      )}
    </div>
  );
}

interface SplashProps {
  readonly screen: Control;
  /** Seconds, as they are typed; null: it is none. */
  readonly onSeconds: (text: string | null) => void;
}

/** How long the first screen is shown before the next one takes its place. */
const Splash = ({ screen, onSeconds }: SplashProps) => (
  <div className="flex items-center gap-2">
    <span className="w-20 shrink-0">Splash, s</span>
    <TypedField
      label="Splash, s"
      kept={asTyped(screen.props.splash) ?? ''}
      placeholder="none"
      problemOf={(text) =>
        text === '' || (Number(text) >= 0.1 && Number(text) <= 60) ? undefined : 'Seconds from 0.1 to 60.'
      }
      onText={(text) => onSeconds(text || null)}
    />
  </div>
);

/** A way without a pointer: which control, to which screen. */
function NewWay({ project, screen }: { readonly project: Project; readonly screen: Control }) {
  const { editor } = useWorkplace();
  const others = project.screens.filter(({ id }) => id !== screen.id);
  const [isOpen, setOpen] = useState(false);
  const [control, setControl] = useState('');
  const [target, setTarget] = useState('');
  const to = others.find(({ name }) => name === target) ?? others[0];
  if (!to) return null;
  if (!isOpen)
    return (
      <button type="button" className="btn self-start" onClick={() => setOpen(true)}>
        <Plus size={14} aria-hidden /> Add a way
      </button>
    );
  const names = namesOn(project, screen);
  const able = [...walk(screen)].filter(
    (each) => each !== screen && inForce(each.props.locked) !== 'true' && 'steps' in addWay(each, to),
  );
  const chosen =
    able.find(({ id }) => id === control) ?? able.find((each) => kindOf(each).group === 'act') ?? able[0];
  return (
    <form
      aria-label="New way"
      className="flex flex-col gap-2 rounded-md border border-rule bg-sheet p-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!chosen) return;
        const change = addWay(chosen, to);
        if ('reason' in change) {
          editor.tell(change.reason);
          return;
        }
        editor.dispatch({ label: `A way from ${screen.name} to ${to.name}`, steps: change.steps });
        setOpen(false);
      }}
    >
      <label className="flex items-center gap-2">
        <span className="w-16 shrink-0">Pressing</span>
        <select
          className="field"
          value={chosen?.id ?? ''}
          onChange={(event) => setControl(event.target.value)}
        >
          {able.map((each) => (
            <option key={each.id} value={each.id}>
              {names.get(each.id) ?? sourceId(each.id)}
            </option>
          ))}
        </select>
      </label>
      <label className="flex items-center gap-2">
        <span className="w-16 shrink-0">leads to</span>
        <select className="field" value={to.name} onChange={(event) => setTarget(event.target.value)}>
          {others.map((each) => (
            <option key={each.id}>{each.name}</option>
          ))}
        </select>
      </label>
      {able.length === 0 && <p className="text-brick">Nothing on {screen.name} can be pressed yet.</p>}
      <div className="flex justify-end gap-2">
        <button type="button" className="btn" onClick={() => setOpen(false)}>
          Cancel
        </button>
        <button type="submit" className="btn btn-main" disabled={!chosen}>
          Add the way
        </button>
      </div>
    </form>
  );
}
