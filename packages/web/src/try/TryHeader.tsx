/** The head of Try: which sizes are shown, under which conditions, and ways from here. */
import {
  ArrowLeft,
  Braces,
  ChevronDown,
  LayoutDashboard,
  ListChecks,
  ListTree,
  RotateCcw,
} from 'lucide-react';
import type { ComponentProps } from 'react';
import { useEditorState } from '../editor/context.tsx';
import { Menu } from '../parts/Menu.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { allSizes, type ScreenSize, sizeWords } from '../sizes.ts';
import { ConditionFields } from './conditions.tsx';

interface SizeChoiceProps {
  /** The one size that is shown, or `all`. */
  readonly which: string;
  readonly sizes: readonly ScreenSize[];
  readonly onWhich: (which: string) => void;
  readonly onSizes: (sizes: readonly ScreenSize[]) => void;
}

export type TryPane = 'trace' | 'values' | 'tasks';

const panes = [
  { name: 'trace', label: 'Trace', hint: 'What each event does', icon: ListTree },
  { name: 'values', label: 'Values', hint: 'What all variables hold now', icon: Braces },
  { name: 'tasks', label: 'Tasks', hint: 'What a person does, recorded and done again', icon: ListChecks },
] as const;

interface TryHeaderProps extends SizeChoiceProps, Omit<ComponentProps<typeof ConditionFields>, 'project'> {
  /** What is shown below the pages. */
  readonly pane: TryPane | undefined;
  readonly onPane: (pane: TryPane | undefined) => void;
  readonly onAgain: () => void;
  readonly onLeave: () => void;
}

export function TryHeader(props: TryHeaderProps) {
  const { which, sizes, onWhich, onSizes, pane, onPane, onAgain, onLeave } = props;
  const { conditions, onConditions, linked, onLinked, follows, onFollows } = props;
  const { project } = useEditorState('project');
  const goTo = useGoTo();
  return (
    <header className="shrink-0 border-b border-rule bg-sheet">
      <div className="flex h-11 items-center gap-3 border-b border-rule/60 px-3">
        <button type="button" className="btn" onClick={onLeave}>
          <ArrowLeft size={15} aria-hidden /> Build
        </button>
        <h1 className="font-semibold">
          {project.name} <span className="font-normal text-quiet">running</span>
        </h1>
        <span className="flex-1" />
        <SizeChoice which={which} sizes={sizes} onWhich={onWhich} onSizes={onSizes} />
        <button
          type="button"
          className="btn"
          title="All screens at all bands on one page"
          onClick={() => goTo('wall')}
        >
          <LayoutDashboard size={14} aria-hidden /> Wall
        </button>
        {panes.map(({ name, label, hint, icon: Icon }) => (
          <button
            key={name}
            type="button"
            className="btn aria-pressed:border-spruce aria-pressed:bg-spruce/15"
            aria-pressed={pane === name}
            title={hint}
            onClick={() => onPane(pane === name ? undefined : name)}
          >
            <Icon size={14} aria-hidden /> {label}
          </button>
        ))}
        <button type="button" className="btn" onClick={onAgain} title="Start again from the initial values">
          <RotateCcw size={14} aria-hidden /> Start again
        </button>
      </div>
      <div role="toolbar" aria-label="Conditions" className="flex h-9 items-center gap-4 px-3 text-[12.5px]">
        <ConditionFields
          project={project}
          conditions={conditions}
          onConditions={onConditions}
          linked={linked}
          onLinked={onLinked}
          follows={follows}
          onFollows={onFollows}
        />
      </div>
    </header>
  );
}

function SizeChoice({ which, sizes, onWhich, onSizes }: SizeChoiceProps) {
  return (
    <>
      <fieldset className="flex items-center overflow-hidden rounded-md border border-rule" aria-label="Size">
        {['all', ...sizes.map(({ label }) => label)].map((label) => (
          <label
            key={label}
            className={`flex h-[26px] cursor-pointer items-center border-rule px-3 not-first:border-l has-focus-visible:outline-2 has-focus-visible:outline-lake ${label === which ? 'bg-spruce font-medium text-on-spruce' : ''}`}
          >
            <input
              type="radio"
              name="size"
              className="sr-only"
              checked={label === which}
              onChange={() => onWhich(label)}
            />
            {label === 'all' ? 'All sizes' : label}
          </label>
        ))}
      </fieldset>
      <Menu
        label="Sizes"
        button={
          <button type="button" className="btn" title="Which sizes are shown">
            Sizes <ChevronDown size={13} aria-hidden />
          </button>
        }
        entries={allSizes().map((size) => {
          const there = sizes.some(({ label }) => label === size.label);
          return {
            label: size.label,
            keys: sizeWords(size),
            checked: there,
            disabled: there && sizes.length === 1,
            onSelect: () =>
              onSizes(
                there
                  ? sizes.filter(({ label }) => label !== size.label)
                  : allSizes().filter(
                      ({ label }) => label === size.label || sizes.some((each) => each.label === label),
                    ),
              ),
          };
        })}
      />
    </>
  );
}
