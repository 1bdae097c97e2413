/** The path from the project down to the selection, each part a button; on its right what is always at hand. */
import { effectiveNames, locate, pathTo } from '@hovrin/core';
import { Grid2x2, Keyboard, Play } from 'lucide-react';
import { useNavigate } from 'react-router';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { HistoryButtons, SavingSign } from '../PlaceHeader.tsx';
import { Menu } from '../parts/Menu.tsx';

interface PathLineProps {
  readonly zoom: number | 'fit';
  readonly onZoom: (zoom: number | 'fit') => void;
  readonly outlines: boolean;
  readonly onOutlines: (outlines: boolean) => void;
  readonly onKeys: () => void;
}

const zooms = [0.25, 0.5, 0.75, 1, 1.5, 2] as const;

export function PathLine({ zoom, onZoom, outlines, onOutlines, onKeys }: PathLineProps) {
  const { editor } = useWorkplace();
  const { project, selection, screenId } = useEditorState();
  const navigate = useNavigate();
  const path = pathTo(project, selection[0] ?? screenId);
  const screen = locate(project, screenId)?.screen;
  const names = screen ? effectiveNames(screen) : new Map<string, string>();
  return (
    <header className="flex h-11 shrink-0 items-center gap-2 border-b border-rule bg-sheet pr-3 pl-3">
      <h1 className="sr-only">Build {project.name}</h1>
      <nav
        aria-label="Path"
        className="flex min-w-0 flex-1 items-center overflow-x-auto [scrollbar-width:none]"
      >
        <span className="shrink-0 text-quiet">{project.name}</span>
        {path.map((control, index) => (
          <span key={control.id} className="flex shrink-0 items-center">
            <span className="px-1 text-quiet" aria-hidden>
              ▸
            </span>
            <button
              type="button"
              className={`rounded-sm px-1 hover:bg-sunk ${index === path.length - 1 ? 'font-semibold' : ''}`}
              aria-current={index === path.length - 1 ? 'true' : undefined}
              onClick={() => editor.select([control.id])}
            >
              {names.get(control.id)}
            </button>
          </span>
        ))}
      </nav>
      <SavingSign />
      <HistoryButtons />
      <Menu
        label="Zoom"
        button={
          <button type="button" className="btn-bare" title="Zoom of the working bay">
            {zoom === 'fit' ? 'Fit' : `${Math.round(zoom * 100)} %`}
          </button>
        }
        entries={[
          { label: 'Fit', onSelect: () => onZoom('fit') },
          ...zooms.map((value) => ({ label: `${value * 100} %`, onSelect: () => onZoom(value) })),
        ]}
      />
      <button
        type="button"
        className={`btn-bare ${outlines ? '!bg-spruce !text-on-spruce' : ''}`}
        aria-pressed={outlines}
        title="Outlines of all boxes (O)"
        onClick={() => onOutlines(!outlines)}
      >
        <Grid2x2 size={16} aria-hidden /> <span className="sr-only">Outlines</span>
      </button>
      <button type="button" className="btn-bare" aria-label="Keys" title="All keys (?)" onClick={onKeys}>
        <Keyboard size={16} />
      </button>
      <button
        type="button"
        className="btn btn-main"
        disabled={project.screens.length === 0}
        onClick={() => void navigate('try')}
      >
        <Play size={14} aria-hidden /> Try
      </button>
    </header>
  );
}
