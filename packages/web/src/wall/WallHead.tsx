/** The head of the wall: how its pictures look, and ways to keep them. */
import { isOneOf, type Mode, modes, type Project } from '@hovrin/core';
import { ArrowLeft, Camera, Printer } from 'lucide-react';
import { LanguageChoice } from '../parts/LanguageChoice.tsx';
import { Menu } from '../parts/Menu.tsx';
import { modeWords } from '../workbench/bench/benchView.ts';

/** The look of all pictures of the wall. */
export interface WallLook {
  /** A tag; empty: the language of the source. */
  readonly locale: string;
  readonly mode: Mode;
  /** Texts are longer than they are. */
  readonly long: boolean;
}

export const plainLook: WallLook = { locale: '', mode: 'light', long: false };

interface WallHeadProps {
  readonly project: Project;
  /** The component whose screens hang here; null: all do. */
  readonly component: string | null;
  readonly look: WallLook;
  readonly onLook: (look: WallLook) => void;
  readonly onSave: (kind: 'svg' | 'png') => void;
  readonly onLeave: () => void;
}

export const WallHead = ({ project, component, look, onLook, onSave, onLeave }: WallHeadProps) => (
  <header className="flex h-11 shrink-0 items-center gap-3 border-b border-rule bg-sheet px-3 print:hidden">
    <button type="button" className="btn" onClick={onLeave}>
      <ArrowLeft size={15} aria-hidden /> Build
    </button>
    <h1 className="font-semibold">
      {project.name}{' '}
      <span className="font-normal text-quiet">
        {component === null ? 'on the wall' : `where ${component} stands`}
      </span>
    </h1>
    <span className="flex-1" />
    <LanguageChoice
      project={project}
      locale={look.locale}
      onLocale={(locale) => onLook({ ...look, locale })}
    />
    <select
      className="field !w-44"
      aria-label="Mode"
      value={look.mode}
      onChange={({ target }) => isOneOf(modes, target.value) && onLook({ ...look, mode: target.value })}
    >
      {modes.map((each) => (
        <option key={each} value={each}>
          {modeWords[each]}
        </option>
      ))}
    </select>
    <label className="flex items-center gap-1.5">
      <input
        type="checkbox"
        className="accent-spruce"
        checked={look.long}
        onChange={({ target }) => onLook({ ...look, long: target.checked })}
      />
      Longer texts
    </label>
    <Menu
      label="Save as one picture"
      button={
        <button type="button" className="btn">
          <Camera size={14} aria-hidden /> Save as one picture
        </button>
      }
      entries={[
        { label: 'PNG', onSelect: () => onSave('png') },
        { label: 'SVG', onSelect: () => onSave('svg') },
      ]}
    />
    <button type="button" className="btn" onClick={() => window.print()} title="Print it, or save it as PDF">
      <Printer size={14} aria-hidden /> Print or PDF
    </button>
  </header>
);
