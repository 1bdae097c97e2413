/** Why the selected control has its size and place, and what would change it. */
import {
  applySteps,
  type Control,
  type Explanation,
  effectiveNames,
  type Fix,
  itemAt,
  type Question,
  type Source,
  treeOfId,
  Why,
  type Working,
} from '@hovrin/core';
import { CircleAlert } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { partIn } from '../../editor/inPlace.ts';
import { useBenchView } from '../bench/benchView.ts';
import { useNames } from '../useNames.ts';
import { ControlWord, Sentence } from './Sentence.tsx';

const questions: readonly { question: Question; label: string }[] = [
  { question: 'width', label: 'Width' },
  { question: 'height', label: 'Height' },
  { question: 'x', label: 'Place across' },
  { question: 'y', label: 'Place down' },
];

const number = (value: number): string => String(Number(value.toFixed(2)) + 0);

export function WhyPane({ screen: own, control }: { screen: Control; control: Control }) {
  const { shaper } = useWorkplace();
  const { project, inPlace } = useEditorState('project', 'inPlace');
  // In its place, a component's control is explained as the part of the instance that it is there.
  const screen = (inPlace && treeOfId(project, inPlace.tree)) ?? own;
  const asked = inPlace ? partIn(inPlace, control.id === own.id ? '' : control.id) : control.id;
  const { sizes, setPreview, setLit } = useBenchView();
  const [question, setQuestion] = useState<Question>('width');
  const { width, height } = itemAt(sizes, 0);
  // What is typed and dragged comes first; the explanation follows.
  const shown = useDeferredValue(
    useMemo(() => ({ project, screen, asked, width, height }), [project, screen, asked, width, height]),
  );
  const why = useMemo(
    () => new Why(shaper, shown.project, shown.screen, { width: shown.width, height: shown.height }),
    [shaper, shown],
  );
  const explanation = useMemo(() => why.explain(shown.asked, question), [why, shown, question]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was pointed at is gone when the question changes.
  useEffect(
    () => () => {
      setPreview(undefined);
      setLit(undefined);
    },
    [control.id, question, setPreview, setLit],
  );
  return (
    <div className="grid h-full grid-cols-[116px_minmax(0,1fr)_minmax(190px,230px)]">
      <div role="radiogroup" aria-label="Question" className="flex flex-col gap-0.5 border-r border-rule p-2">
        {questions.map((entry) => (
          <label
            key={entry.question}
            className={`cursor-pointer rounded-sm px-2 py-1 has-focus-visible:outline-2 has-focus-visible:outline-spruce ${question === entry.question ? 'bg-sunk font-semibold' : 'hover:bg-sunk'}`}
          >
            <input
              type="radio"
              name="question"
              className="sr-only"
              checked={question === entry.question}
              onChange={() => setQuestion(entry.question)}
            />
            {entry.label}
          </label>
        ))}
        <p className="mt-auto px-2 text-[12px] text-quiet">
          at {width} × {height}
        </p>
      </div>
      {explanation ? (
        <>
          <Answer screen={screen} explanation={explanation} />
          <Fixes screen={screen} explanation={explanation} />
        </>
      ) : (
        <p className="col-span-2 p-4 text-quiet">
          {effectiveNames(own).get(control.id)} is hidden at this size, so it has neither size nor place.
        </p>
      )}
    </div>
  );
}

function Answer({ screen, explanation }: { screen: Control; explanation: Explanation }) {
  const { sentence, remarks, workings, sources } = explanation;
  return (
    <div className="overflow-y-auto p-3">
      <p className="text-[14px] leading-6">
        <Sentence screen={screen}>{sentence}</Sentence>
      </p>
      {remarks.map((remark) => (
        <p key={remark} className="mt-1 flex items-start gap-1.5 text-brick">
          <CircleAlert size={14} className="mt-0.5 shrink-0" aria-hidden />
          <span>
            <Sentence screen={screen}>{remark}</Sentence>
          </span>
        </p>
      ))}
      <table className="mt-2 border-collapse text-[12px]">
        <caption className="sr-only">How the number comes about</caption>
        <tbody>
          {workings.map((working) => (
            <WorkingRow key={JSON.stringify(working)} screen={screen} working={working} />
          ))}
        </tbody>
      </table>
      <ul className="mt-2 flex flex-wrap gap-x-4 gap-y-0.5 text-[12px] text-quiet">
        {sources.map((source) => (
          <SourceItem key={`${source.control} ${source.property}`} screen={screen} source={source} />
        ))}
      </ul>
    </div>
  );
}

const picks = { greatest: 'greatest of', least: 'least of' } as const;

function WorkingRow({ screen, working }: { screen: Control; working: Working }) {
  const names = useNames(screen);
  return (
    <tr className="align-baseline">
      <th scope="row" className="pr-4 text-left font-normal text-quiet">
        <Sentence screen={screen}>{working.what}</Sentence>
      </th>
      <td className="pr-2">
        {(working.by === 'greatest' || working.by === 'least') && (
          <span className="text-quiet">{picks[working.by]} </span>
        )}
        {working.terms.map((term, index) => {
          const minus = working.by === 'sum' && term.value < 0;
          const sign =
            index === 0
              ? minus
                ? '−'
                : ''
              : working.by === 'sum'
                ? minus
                  ? ' − '
                  : ' + '
                : working.by === 'product'
                  ? ' × '
                  : ', ';
          const name = term.control === undefined ? undefined : names.get(term.control);
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: terms have no name of their own, and never change places.
            <span key={`${term.what} ${index}`} className="inline-block whitespace-pre">
              {sign}
              <span className="font-mono tabular-nums">{number(minus ? -term.value : term.value)}</span>{' '}
              <span className="text-quiet">
                {name !== undefined && term.what.includes(`\`${name}\``) ? (
                  <Sentence screen={screen}>{term.what}</Sentence>
                ) : (
                  <>
                    <Sentence screen={screen}>{term.what}</Sentence>
                    {name !== undefined && (
                      <>
                        {' '}
                        of <ControlWord id={term.control!} name={name} />
                      </>
                    )}
                  </>
                )}
              </span>
            </span>
          );
        })}
      </td>
      <td className="text-right font-mono whitespace-nowrap tabular-nums">= {number(working.result)}</td>
    </tr>
  );
}

function SourceItem({ screen, source }: { screen: Control; source: Source }) {
  const name = useNames(screen).get(source.control) ?? '';
  const band = source.from !== 'own' && source.from !== 'default';
  return (
    <li className="flex items-baseline gap-1">
      <ControlWord id={source.control} name={name} />
      <span className="font-mono">
        {source.property}
        {source.text !== '' && `="${source.text}"`}
      </span>
      <span className={band ? 'text-copper' : undefined}>
        {band ? `from ${source.from}` : source.from === 'default' ? 'not set' : ''}
      </span>
    </li>
  );
}

function Fixes({ screen, explanation }: { screen: Control; explanation: Explanation }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { setPreview } = useBenchView();
  const names = useNames(screen);
  const show = (fix: Fix) => {
    const applied = applySteps(project, fix.steps);
    if (applied.ok) setPreview(applied.project);
  };
  return (
    <div className="overflow-y-auto border-l border-rule p-3">
      <h3 className="mb-1.5 font-semibold">What would change it</h3>
      {explanation.fixes.length === 0 && (
        <p className="text-quiet">
          No single change of its own or of what it stands in would make it another here.
        </p>
      )}
      <ul className="flex flex-col gap-1">
        {explanation.fixes.map((fix) => (
          <li key={fix.label}>
            <button
              type="button"
              className="w-full rounded-sm border border-rule px-2 py-1 text-left hover:border-spruce hover:bg-sunk"
              onMouseEnter={() => show(fix)}
              onMouseLeave={() => setPreview(undefined)}
              onFocus={() => show(fix)}
              onBlur={() => setPreview(undefined)}
              onClick={() => {
                setPreview(undefined);
                editor.dispatch({ label: fix.label.replaceAll('`', ''), steps: fix.steps, exact: true });
              }}
            >
              <FixWords label={fix.label} />
              <span className="block truncate font-mono text-[11px] text-quiet">
                {fix.steps
                  .map((step) =>
                    step.type === 'set'
                      ? `${names.get(step.control)} ${step.property}${step.value === null ? ' taken away' : `="${String(step.value)}"`}`
                      : step.type,
                  )
                  .join(', ')}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** A button's words; names in it are set apart, but are no buttons of their own. */
function FixWords({ label }: { label: string }) {
  return label.split(/`([^`]+)`/).map((part, index) =>
    index % 2 === 0 ? (
      part
    ) : (
      // biome-ignore lint/suspicious/noArrayIndexKey: parts of one sentence never change places.
      <span key={`${index} ${part}`} className="font-mono text-[12px]">
        {part}
      </span>
    ),
  );
}
