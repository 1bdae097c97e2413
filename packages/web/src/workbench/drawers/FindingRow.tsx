/** One finding: what is wrong, where, and what would mend it. */
import {
  applySteps,
  type Control,
  checkNamed,
  type Finding,
  type Fix,
  ownId,
  whereWords,
} from '@hovrin/core';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { sizeOf } from './findingSize.ts';
import { IgnoreButton, IgnoreForm } from './IgnoreForm.tsx';
import { Sentence } from './Sentence.tsx';
import { severityFills } from './severities.ts';

export function FindingRow({ screen, finding }: { screen: Control; finding: Finding }) {
  const { editor } = useWorkplace();
  const { selection } = useEditorState('selection');
  const { resize, sizes } = useBenchView();
  const [asking, setAsking] = useState(false);
  const { where, control, check, severity, sentence, fixes } = finding;
  const go = () => {
    editor.select([control]);
    const size = sizeOf(where, sizes[0]);
    if (size) resize(size);
  };
  return (
    <li className={`rounded-sm px-1 py-1 ${selection.includes(ownId(control)) ? 'bg-saffron/15' : ''}`}>
      <div className="flex items-baseline gap-2">
        <span
          role="img"
          aria-label={severity}
          className={`size-2 shrink-0 self-center rounded-[1px] ${severityFills[severity]}`}
        />
        <span className="min-w-0 flex-1">
          <Sentence screen={screen}>{sentence}</Sentence>
        </span>
        <button
          type="button"
          className="rounded-sm px-1 font-mono text-[12px] text-quiet hover:bg-sunk hover:text-ink"
          title="Select it, at a width where it happens"
          onClick={go}
        >
          {whereWords(where)}
        </button>
        <IgnoreButton asking={asking} onAsk={setAsking} />
      </div>
      {(fixes.length > 0 || asking) && (
        <div className="flex flex-wrap gap-1 pl-4">
          {fixes.map((fix) => (
            <FixButton key={fix.label} fix={fix} />
          ))}
          {asking && (
            <IgnoreForm
              {...{ control, check }}
              title={checkNamed(check)?.title ?? check}
              onDone={() => setAsking(false)}
            />
          )}
        </div>
      )}
    </li>
  );
}

/** Mends the finding; what would become of the screen is shown while it is pointed at. */
export function FixButton({ fix }: { fix: Pick<Fix, 'label' | 'steps'> }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { setPreview } = useBenchView();
  const label = fix.label.replaceAll('`', '');
  const show = () => {
    const applied = applySteps(project, fix.steps);
    setPreview(applied.ok ? applied.project : undefined);
  };
  const hide = () => setPreview(undefined);
  return (
    <button
      type="button"
      className="btn !h-6 text-[12px]"
      onMouseEnter={show}
      onMouseLeave={hide}
      onFocus={show}
      onBlur={hide}
      onClick={() => {
        hide();
        editor.dispatch({ label, steps: fix.steps, exact: true });
      }}
    >
      {label}
    </button>
  );
}
