/** A component that is open alone, in each of its cases, above the other sizes. Pressed, a case is the one worked on. */
import { type Control, definitionOf, inCase, kindOf, ScreenView, treeOfId } from '@hovrin/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { ScreenSize } from '../../sizes.ts';
import { addCase } from '../dialogs/CasesDialog.tsx';
import { useBenchView } from './benchView.ts';
import { PartPicture } from './PartPicture.tsx';
import { useShownProject } from './useShownLayout.ts';

interface CaseBaysProps {
  readonly screen: Control;
  /** Of the working bay. */
  readonly size: ScreenSize;
  /** How wide each is drawn, CSS px. */
  readonly width: number;
}

export function CaseBays({ screen, size, width }: CaseBaysProps) {
  const { editor } = useWorkplace();
  const { inPlace } = useEditorState('inPlace');
  const { seeing, see } = useBenchView();
  if (inPlace || kindOf(screen).root !== 'components') return null;
  const { cases, root, parameters } = definitionOf(screen);
  if (!root || parameters.size === 0) return null;
  const shown = cases.has(seeing.sampleCase) ? seeing.sampleCase : '';
  return (
    <section aria-label="Cases" className="flex shrink-0 flex-col gap-3" style={{ width }}>
      <div className="flex items-center">
        <h3 className="font-semibold">Cases</h3>
        <button
          type="button"
          className="btn ml-auto !h-6 text-[12px]"
          onClick={() => {
            if (cases.size === 0) addCase(editor, screen);
            editor.ask('cases');
          }}
        >
          {cases.size === 0 ? 'Add …' : 'As a table …'}
        </button>
      </div>
      {cases.size > 0 &&
        ['', ...cases.keys()].map((name) => (
          <figure key={name} className="m-0 flex flex-col gap-1">
            <figcaption>
              <button
                type="button"
                className={`rounded-sm px-1 text-left hover:bg-sunk ${name === shown ? 'font-semibold' : ''}`}
                aria-pressed={name === shown}
                title="Work on it in this case"
                onClick={() => see({ sampleCase: name })}
              >
                {name === '' ? 'As it begins' : name}
              </button>
            </figcaption>
            <InOneCase screen={screen} root={root.id} name={name} size={size} width={width} />
          </figure>
        ))}
    </section>
  );
}

function InOneCase({
  screen,
  root,
  name,
  size: { width: wide, height, safe, hinge },
  width,
}: CaseBaysProps & { readonly root: string; readonly name: string }) {
  const { shaper } = useWorkplace();
  const { mode } = useBenchView().seeing;
  const project = useDeferredValue(useShownProject());
  const [view] = useState(() => new ScreenView(shaper));
  const layout = useMemo(() => {
    const told = inCase(project, screen.id, name);
    const shown = treeOfId(told, screen.id) ?? screen;
    return view.layOut(told, shown, { width: wide, height, safe, hinge, mode });
  }, [view, project, screen, name, wide, height, safe, hinge, mode]);
  const label = name === '' ? 'As it begins' : `In the case ${name}`;
  return <PartPicture layout={layout} control={root} width={width} label={label} />;
}
