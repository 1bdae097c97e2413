/** Theme: the tokens and styles of the project, beside controls on which one sees them, in every mode. */
import { itemAt, modes, type Project, shippedThemes } from '@hovrin/core';
import { useMemo } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useCommandKeys } from '../editor/keys.ts';
import { PlaceHeader } from '../PlaceHeader.tsx';
import { modeWords } from '../workbench/bench/benchView.ts';
import { Contrast } from './Contrast.tsx';
import { Specimen } from './Specimen.tsx';
import { Styles } from './Styles.tsx';
import { specimenProject, specimenScreen } from './specimen.ts';
import { TokenFiles } from './TokenFiles.tsx';
import { Tokens } from './Tokens.tsx';
import { beginWith } from './tokenSteps.ts';

export function ThemePlace() {
  const { editor } = useWorkplace();
  useCommandKeys(editor);
  return (
    <>
      <PlaceHeader title="Theme">
        <TokenFiles />
      </PlaceHeader>
      <main className="flex min-h-0 flex-1">
        <div className="min-w-0 flex-1 overflow-auto p-6">
          <div className="mx-auto flex max-w-4xl flex-col gap-6">
            <Beginnings />
            <Tokens />
            <Styles />
            <Contrast />
          </div>
        </div>
        <Specimens />
      </main>
    </>
  );
}

function Specimens() {
  const { project } = useEditorState('project');
  const { tokens, styles, bands } = project;
  // Only what is shown counts: a change of a screen paints nothing anew.
  const shown = useMemo(() => specimenProject({ tokens, styles, bands } as Project), [tokens, styles, bands]);
  return (
    <aside
      aria-label="Specimens"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls is scrolled by keys, too.
      tabIndex={0}
      className="flex w-[336px] shrink-0 flex-col gap-3 overflow-auto border-l border-rule bg-sheet p-4"
    >
      {modes.map((mode) => (
        <section key={mode} className="flex flex-col gap-1">
          <h2 className="text-quiet">{modeWords[mode]}</h2>
          <Specimen
            project={shown}
            screen={specimenScreen}
            width={304}
            mode={mode}
            label={`Controls ${modeWords[mode].toLowerCase()}`}
          />
        </section>
      ))}
    </aside>
  );
}

/** Themes that ship, to begin with. */
function Beginnings() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  return (
    <section aria-label="Themes to begin with">
      <h2 className="text-[15px] font-semibold">Themes to begin with</h2>
      <p className="text-quiet">
        Colours and measures in light, dark and with more contrast. What else the project has stays.
      </p>
      <div className="mt-2 flex gap-3">
        {shippedThemes.map((theme) => (
          <button
            key={theme.id}
            type="button"
            className="flex flex-1 flex-col gap-1 rounded-md border border-rule bg-sheet p-2 text-left hover:border-ink"
            onClick={() => {
              const steps = beginWith(project, theme);
              if (steps.length > 0)
                editor.dispatch({ label: `Begin with ${theme.label}`, steps, exact: true });
              else editor.tell(`The project has ${theme.label} already.`);
            }}
          >
            <Specimen
              project={themed(theme.tokens)}
              screen={chip}
              width={176}
              mode="light"
              label={`${theme.label}, a sample`}
            />
            <span className="font-medium">{theme.label}</span>
            <span className="text-[12px] text-quiet">{theme.purpose}</span>
          </button>
        ))}
      </div>
    </section>
  );
}

/** A heading and a button: the least that shows a theme. */
const chip = {
  ...specimenScreen,
  id: 'chip',
  children: [itemAt(specimenScreen.children, 0), itemAt(specimenScreen.children, 2)],
};
const themedBy = new Map<readonly object[], Project>();
function themed(tokens: NonNullable<Project['tokens']>): Project {
  const known =
    themedBy.get(tokens) ??
    specimenProject(
      { tokens, bands: [{ name: 'hand', label: 'Hand', from: 0 }] } as unknown as Project,
      chip,
    );
  themedBy.set(tokens, known);
  return known;
}
