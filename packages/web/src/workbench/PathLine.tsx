/** The path from the project down to the selection, each part a button; on its right what is always at hand. */
import { effectiveNames, keysOf, locate, modes, pathTo, sampleConditions, sampleWords } from '@hovrin/core';
import { Grid2x2, Keyboard, Play } from 'lucide-react';
import { useWorkplace } from '../editor/context.tsx';
import { keyWords } from '../editor/keys.ts';
import { HistoryButtons } from '../PlaceHeader.tsx';
import { languageWords } from '../parts/languageWords.ts';
import { Menu } from '../parts/Menu.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { SavingSign } from '../saving/SavingSign.tsx';
import { modeWords, outlineWords, useBenchView } from './bench/benchView.ts';
import { usualZooms, type Zoom } from './bench/zoom.ts';
import { useShownSelection } from './useShownSelection.ts';

// The same elements each time: nothing looks at them again.
const seenIcon = <Grid2x2 size={16} aria-hidden />;
const keysIcon = <Keyboard size={16} />;
const tryIcon = <Play size={14} aria-hidden />;

interface PathLineProps {
  readonly zoom: Zoom;
  readonly onZoom: (zoom: Zoom) => void;
  readonly onCommands: () => void;
}

/** How often values of feeds are shown, in seconds. */
const liveRates = [
  [0, 'Values of feeds stand still'],
  [1, 'Values of feeds, each second'],
  [5, 'Values of feeds, each 5 seconds'],
] as const;

export function PathLine({ zoom, onZoom, onCommands }: PathLineProps) {
  const { project } = useShownSelection();
  const goTo = useGoTo();
  return (
    <header
      data-region="path"
      className="flex h-11 shrink-0 items-center gap-2 border-b border-rule bg-sheet pr-3 pl-3"
    >
      <h1 className="sr-only">Build {project.name}</h1>
      <Path />
      <SavingSign />
      <HistoryButtons />
      <ZoomMenu zoom={zoom} onZoom={onZoom} />
      <SeeingMenu />
      <button
        type="button"
        className="btn-bare"
        aria-label="Commands"
        title="All commands and their keys (?)"
        onClick={onCommands}
      >
        {keysIcon}
      </button>
      <button
        type="button"
        className="btn btn-main"
        disabled={project.screens.length === 0}
        onClick={() => goTo('try')}
      >
        {tryIcon} Try
      </button>
    </header>
  );
}

function Path() {
  const { editor } = useWorkplace();
  const { project, selection, screenId } = useShownSelection();
  const path = pathTo(project, selection[0] ?? screenId);
  const screen = locate(project, screenId)?.screen;
  const names = screen ? effectiveNames(screen) : new Map<string, string>();
  return (
    <nav
      aria-label="Path"
      className="flex min-w-0 flex-1 items-center overflow-x-auto [scrollbar-width:none]"
    >
      <span className="shrink-0 text-quiet">{project.name}</span>
      {path.map((control, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a level is the same level for another control.
        <span key={index} className="flex shrink-0 items-center">
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
  );
}

const zoomWords = { fit: 'Fit', whole: 'Whole', selection: 'Selection' } as const;

function ZoomMenu({ zoom, onZoom }: Pick<PathLineProps, 'zoom' | 'onZoom'>) {
  const { selection } = useShownSelection();
  return (
    <Menu
      label="Zoom"
      button={
        <button type="button" className="btn-bare" title="Zoom of the working bay">
          {typeof zoom === 'number' ? `${Math.round(zoom * 100)} %` : zoomWords[zoom]}
        </button>
      }
      entries={[
        { label: 'The width', keys: '0', checked: zoom === 'fit', onSelect: () => onZoom('fit') },
        { label: 'The whole size', keys: '8', checked: zoom === 'whole', onSelect: () => onZoom('whole') },
        {
          label: 'The selection',
          keys: '9',
          disabled: selection.length === 0,
          onSelect: () => onZoom('selection'),
        },
        ...usualZooms.map((value) => ({
          label: `${value * 100} %`,
          checked: zoom === value,
          onSelect: () => onZoom(value),
        })),
      ]}
    />
  );
}

function SeeingMenu() {
  const { project } = useShownSelection();
  const { editor } = useWorkplace();
  const { seeing, see } = useBenchView();
  const { outlines, hidden, long, mode, sample: shownSample, live: rate, tracing } = seeing;
  const tags = (project.locales ?? []).map(({ tag }) => tag);
  const locales = tags.length > 1 ? tags : [];
  const isSpecial =
    mode !== 'light' ||
    outlines !== 'off' ||
    hidden ||
    long ||
    locales.includes(seeing.locale) ||
    shownSample !== 'typical' ||
    rate > 0 ||
    tracing;
  return (
    <Menu
      label="What is seen"
      button={
        <button
          type="button"
          className={`btn-bare ${isSpecial ? '!bg-spruce !text-on-spruce' : ''}`}
          title="Outlines, what is hidden, other rows and texts (O)"
        >
          {seenIcon} <span className="sr-only">What is seen</span>
        </button>
      }
      entries={[
        ...keysOf(outlineWords).map((name) => ({
          label: outlineWords[name],
          checked: seeing.outlines === name,
          onSelect: () => see({ outlines: name }),
        })),
        {
          label: 'Names on outlines',
          keys: keyWords('Shift+O'),
          checked: seeing.names,
          onSelect: () => see({ names: !seeing.names }),
        },
        {
          label: 'What is hidden, faintly',
          keys: keyWords('Shift+H'),
          checked: seeing.hidden,
          onSelect: () => see({ hidden: !seeing.hidden }),
        },
        {
          label: 'Longer texts, with accents',
          keys: keyWords('Shift+T'),
          checked: seeing.long,
          onSelect: () => see({ long: !seeing.long }),
        },
        ...locales.map((tag, index) => ({
          label: `In ${languageWords(tag)}`,
          checked: (seeing.locale || locales[0]) === tag,
          onSelect: () => see({ locale: index === 0 ? '' : tag }),
        })),
        ...modes.map((each) => ({
          label: modeWords[each],
          checked: mode === each,
          onSelect: () => see({ mode: each }),
        })),
        ...sampleConditions.map((sample) => ({
          label: sampleWords[sample],
          checked: seeing.sample === sample,
          onSelect: () => see({ sample }),
        })),
        ...(project.state.some(({ feed }) => feed)
          ? liveRates.map(([live, label]) => ({
              label,
              checked: seeing.live === live,
              onSelect: () => see({ live }),
            }))
          : []),
        { label: 'What the marks mean …', onSelect: () => editor.ask('marks') },
        {
          label: 'A picture to trace',
          keys: 'J',
          checked: seeing.tracing,
          onSelect: () => see({ tracing: !seeing.tracing }),
        },
      ]}
    />
  );
}
