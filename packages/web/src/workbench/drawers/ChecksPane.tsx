/** What is wrong with the screen at some width, and what would mend it. */
import {
  type Control,
  checks as checkKinds,
  checkNamed,
  type Finding,
  findingKey,
  ignoredOf,
  ignoreStep,
  locate,
  ownId,
  type Severity,
} from '@hovrin/core';
import { useEffect, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { knownLocale } from '../../parts/LanguageChoice.tsx';
import { languageWords } from '../../parts/languageWords.ts';
import { useBenchView } from '../bench/benchView.ts';
import { useChecked } from '../every-width/useEveryWidth.ts';
import { FindingGroupRow } from './FindingGroupRow.tsx';
import { FindingRow } from './FindingRow.tsx';
import { findingGroups } from './findingGroups.ts';
import { ControlWord } from './Sentence.tsx';
import { SeverityFilter } from './SeverityFilter.tsx';

export function ChecksPane({ screen }: { screen: Control }) {
  const { setPreview, setLit, seeing } = useBenchView();
  const { project } = useEditorState('project');
  const tag = knownLocale(project, seeing.locale);
  const inLanguage = tag ? `, in ${languageWords(tag)}` : '';
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
  const all = checks.findings.filter(({ control }) => locateIn(screen, ownId(control)));
  const shown = all.filter(
    ({ severity, control }) => !hidden.has(severity) && (!onlySelected || selection.includes(ownId(control))),
  );
  const groups = checkKinds.flatMap(({ name: check }) => {
    const findings = shown.filter((finding) => finding.check === check);
    return findings.length > 0 ? [{ check, findings }] : [];
  });
  return (
    <div className="grid h-full grid-cols-[150px_minmax(0,1fr)]">
      <Filter {...{ all, hidden, onlySelected }} onHidden={setHidden} onOnlySelected={setOnlySelected} />
      <div className="overflow-y-auto p-2">
        {shown.length === 0 && (
          <p className="p-2 text-quiet">
            {all.length > 0
              ? 'Nothing of what is chosen on the left.'
              : checks.running
                ? 'The screen is being checked.'
                : `Nothing is wrong with this screen at any width${inLanguage}.`}
          </p>
        )}
        {groups.map(({ check, findings }) => (
          <section key={check} aria-label={checkNamed(check)?.title} className="mb-2">
            <h3 className="px-1 font-semibold">
              {checkNamed(check)?.title} <span className="font-normal text-quiet">{findings.length}</span>
            </h3>
            <ul>
              {findingGroups(findings).map((group) =>
                group.findings.length > 1 ? (
                  <FindingGroupRow key={group.key} screen={screen} group={group} />
                ) : (
                  <FindingRow
                    key={findingKey(group.findings[0])}
                    screen={screen}
                    finding={group.findings[0]}
                  />
                ),
              )}
            </ul>
          </section>
        ))}
        <Ignored screen={screen} />
      </div>
    </div>
  );
}

interface FilterProps {
  readonly all: readonly Finding[];
  readonly hidden: ReadonlySet<Severity>;
  readonly onlySelected: boolean;
  readonly onHidden: (hidden: ReadonlySet<Severity>) => void;
  readonly onOnlySelected: (only: boolean) => void;
}

/** What is shown of the findings, and how far the checks are. */
function Filter({ all, hidden, onlySelected, onHidden, onOnlySelected }: FilterProps) {
  const checks = useChecked();
  return (
    <div className="flex flex-col gap-1 border-r border-rule p-2">
      <SeverityFilter all={all} hidden={hidden} onHidden={onHidden} />
      <label className="flex items-center gap-2 px-1 py-0.5">
        <input
          type="checkbox"
          className="accent-spruce"
          checked={onlySelected}
          onChange={(event) => onOnlySelected(event.target.checked)}
        />
        Selection only
      </label>
      <p role="status" className="mt-auto px-1 text-[12px] text-quiet">
        {checks.problem ??
          (checks.running
            ? `Checking … ${checks.stretches} stretches`
            : '280–1920 px, portrait and landscape, text at 100 and 200 %')}
      </p>
    </div>
  );
}

const locateIn = (screen: Control, id: string): boolean =>
  screen.id === id || screen.children.some((child) => locateIn(child, id));

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
          const [id = '', check = ''] = key.split(' ');
          const control = checkNamed(check) && locate(project, id)?.control;
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
