/** What is wrong with the screen at some width, and what would mend it. */
import {
  applySteps,
  type Control,
  checks as checkKinds,
  checkNamed,
  type Finding,
  type Fix,
  findingKey,
  ignoredOf,
  ignoreStep,
  locate,
  type Severity,
  whereWords,
} from '@hovrin/core';
import { EyeOff } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { useChecked } from '../every-width/useEveryWidth.ts';
import { ControlWord, Sentence } from './Sentence.tsx';

const severities = { error: 'Errors', warning: 'Warnings', advice: 'Advice' } as const;
export const severityFills: Readonly<Record<Severity, string>> = {
  error: 'bg-brick',
  warning: 'bg-copper',
  advice: 'bg-lake',
};

export function ChecksPane({ screen }: { screen: Control }) {
  const { setPreview, setLit } = useBenchView();
  const checks = useChecked();
  const { selection } = useEditorState('selection');
  const [hidden, setHidden] = useState<ReadonlySet<Severity>>(new Set());
  const [onlySelected, setOnlySelected] = useState(false);
  // What was pointed at is gone when the drawer closes.
  useEffect(
    () => () => {
      setPreview(undefined);
      setLit(undefined);
    },
    [setPreview, setLit],
  );
  const all = checks.findings.filter(({ control }) => locateIn(screen, control));
  const shown = all.filter(
    ({ severity, control }) => !hidden.has(severity) && (!onlySelected || selection.includes(control)),
  );
  const groups = checkKinds.flatMap(({ name: check }) => {
    const findings = shown.filter((finding) => finding.check === check);
    return findings.length > 0 ? [{ check, findings }] : [];
  });
  const toggle = (severity: Severity) => {
    const next = new Set(hidden);
    if (!next.delete(severity)) next.add(severity);
    setHidden(next);
  };
  return (
    <div className="grid h-full grid-cols-[150px_minmax(0,1fr)]">
      <div className="flex flex-col gap-1 border-r border-rule p-2">
        {(Object.keys(severities) as Severity[]).map((severity) => (
          <label key={severity} className="flex items-center gap-2 px-1 py-0.5">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={!hidden.has(severity)}
              onChange={() => toggle(severity)}
            />
            <span aria-hidden className={`size-2 rounded-[1px] ${severityFills[severity]}`} />
            {severities[severity]}
            <span className="ml-auto font-mono text-quiet">
              {all.filter((finding) => finding.severity === severity).length}
            </span>
          </label>
        ))}
        <label className="flex items-center gap-2 px-1 py-0.5">
          <input
            type="checkbox"
            className="accent-spruce"
            checked={onlySelected}
            onChange={(event) => setOnlySelected(event.target.checked)}
          />
          Selection only
        </label>
        <p role="status" className="mt-auto px-1 text-[12px] text-quiet">
          {checks.problem ??
            (checks.running
              ? `Checking … ${checks.stretches} stretches`
              : '280–1920 px, both ways up, text at 100 and 200 %')}
        </p>
      </div>
      <div className="overflow-y-auto p-2">
        {shown.length === 0 && (
          <p className="p-2 text-quiet">
            {all.length > 0
              ? 'Nothing of what is chosen on the left.'
              : checks.running
                ? 'The screen is being checked.'
                : 'Nothing is wrong with this screen at any width.'}
          </p>
        )}
        {groups.map(({ check, findings }) => (
          <section key={check} aria-label={checkNamed(check)?.title} className="mb-2">
            <h3 className="px-1 font-semibold">
              {checkNamed(check)?.title} <span className="font-normal text-quiet">{findings.length}</span>
            </h3>
            <ul>
              {findings.map((finding) => (
                <FindingRow key={findingKey(finding)} screen={screen} finding={finding} />
              ))}
            </ul>
          </section>
        ))}
        <Ignored screen={screen} />
      </div>
    </div>
  );
}

const locateIn = (screen: Control, id: string): boolean =>
  screen.id === id || screen.children.some((child) => locateIn(child, id));

function FindingRow({ screen, finding }: { screen: Control; finding: Finding }) {
  const { editor } = useWorkplace();
  const { project, selection } = useEditorState('project', 'selection');
  const { resize, sizes, setPreview } = useBenchView();
  const [reason, setReason] = useState<string>();
  const { where, control, check, severity, sentence, fixes } = finding;
  const go = () => {
    editor.select([control]);
    const { width, height } = sizes[0]!;
    const at = where.find(({ textScale }) => textScale === 1) ?? where[0]!;
    const inside = where.some(({ from, to }) => from <= width && width <= to);
    if (inside) return;
    const near = Math.round(
      Math.abs(at.from - width) < Math.abs(at.to - width) ? Math.ceil(at.from) : Math.floor(at.to),
    );
    const turned = at.orientation === 'portrait' ? height < near : height >= near;
    resize(
      turned ? { width: near, height: at.orientation === 'portrait' ? near * 2 : near / 2 } : { width: near },
    );
  };
  const show = (fix: Fix) => {
    const applied = applySteps(project, fix.steps);
    setPreview(applied.ok ? applied.project : undefined);
  };
  const take = (fix: Fix) => {
    setPreview(undefined);
    editor.dispatch({ label: fix.label.replaceAll('`', ''), steps: fix.steps, exact: true });
  };
  const ignore = () => {
    const found = locate(project, control)?.control;
    if (found && reason?.trim())
      editor.dispatch({
        label: `Ignore “${checkNamed(check)?.title}”`,
        steps: [ignoreStep(found, check, reason)],
        exact: true,
      });
    setReason(undefined);
  };
  return (
    <li className={`rounded-sm px-1 py-1 ${selection.includes(control) ? 'bg-saffron/15' : ''}`}>
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
        <button
          type="button"
          className="btn-bare !h-6 text-quiet"
          aria-label="Ignore with a reason"
          title="Ignore with a reason"
          aria-expanded={reason !== undefined}
          onClick={() => setReason(reason === undefined ? '' : undefined)}
        >
          <EyeOff size={13} />
        </button>
      </div>
      {(fixes.length > 0 || reason !== undefined) && (
        <div className="flex flex-wrap gap-1 pl-4">
          {fixes.map((fix) => (
            <button
              key={fix.label}
              type="button"
              className="btn !h-6 text-[12px]"
              onMouseEnter={() => show(fix)}
              onMouseLeave={() => setPreview(undefined)}
              onFocus={() => show(fix)}
              onBlur={() => setPreview(undefined)}
              onClick={() => take(fix)}
            >
              {fix.label.replaceAll('`', '')}
            </button>
          ))}
          {reason !== undefined && (
            <form
              className="flex gap-1"
              onSubmit={(event) => {
                event.preventDefault();
                ignore();
              }}
            >
              <input
                className="field !h-6 !w-56 text-[12px]"
                aria-label="Why it is as it should be"
                placeholder="Why it is as it should be"
                // biome-ignore lint/a11y/noAutofocus: it was asked for a moment ago.
                autoFocus
                value={reason}
                onChange={(event) => setReason(event.target.value)}
                onKeyDown={(event) => event.key === 'Escape' && setReason(undefined)}
              />
              <button type="submit" className="btn !h-6 text-[12px]" disabled={!reason.trim()}>
                Ignore
              </button>
            </form>
          )}
        </div>
      )}
    </li>
  );
}

/** What somebody has let stand, with the reasons. */
function Ignored({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const ignored = [...ignoredOf(screen)];
  if (ignored.length === 0) return null;
  return (
    <section aria-label="Ignored" className="border-t border-rule pt-1">
      <h3 className="px-1 font-semibold text-quiet">Ignored</h3>
      <ul className="text-quiet">
        {ignored.map(([key, reason]) => {
          const [id, check] = key.split(' ') as [string, string];
          const control = locate(project, id)?.control;
          return (
            control && (
              <li key={key} className="flex items-baseline gap-2 px-1 py-0.5">
                <ControlWord id={id} name={control.name ?? control.kind} />{' '}
                {checkNamed(check)?.title ?? check}: {reason}
                <button
                  type="button"
                  className="btn !h-6 text-[12px]"
                  onClick={() =>
                    editor.dispatch({
                      label: `Check “${checkNamed(check)?.title}” again`,
                      steps: [ignoreStep(control, check, undefined)],
                      exact: true,
                    })
                  }
                >
                  Check again
                </button>
              </li>
            )
          );
        })}
      </ul>
    </section>
  );
}
