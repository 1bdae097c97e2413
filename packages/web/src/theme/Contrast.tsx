/** The colours that meet on the screens, in every mode: how much they stand out, and what would be enough. */
import { type ColourPair, locate, namesOn, ownId, type Project } from '@hovrin/core';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { modeWords } from '../workbench/bench/benchView.ts';
import { severityFills } from '../workbench/drawers/severities.ts';
import { pairSteps } from './pairSteps.ts';
import { useColourPairs } from './useColourPairs.ts';

const whatWords: Readonly<Record<ColourPair['what'], string>> = {
  words: 'Words',
  part: 'Edge or icon',
  focus: 'Ring of the focus',
};

const fails = ({ ratio, wanted }: ColourPair): boolean => ratio < wanted - 0.005;

export function Contrast() {
  const { project } = useEditorState('project');
  const { pairs, at, problem } = useColourPairs(project);
  const [showsAll, setShowsAll] = useState(false);
  const faint = pairs?.filter(fails) ?? [];
  const shown = showsAll ? (pairs ?? []) : faint;
  return (
    <section aria-label="Contrast" className="flex flex-col gap-2">
      <div className="flex items-end justify-between gap-4">
        <div>
          <h2 className="text-[15px] font-semibold">Contrast</h2>
          <p className="text-quiet">
            Colours that meet on some screen, in every mode and state (WCAG 2.2, 1.4.3, 1.4.11, 2.4.7; 1.4.6
            where more contrast is asked for).
          </p>
        </div>
        <label className="flex shrink-0 items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-spruce"
            checked={showsAll}
            onChange={({ target }) => setShowsAll(target.checked)}
          />
          All pairs
        </label>
      </div>
      <p role="status" className="text-[12px] text-quiet">
        {problem ??
          (at === undefined
            ? `${pairs?.length ?? 0} pairs, ${faint.length === 0 ? 'all of which stand out enough' : `${faint.length} of which do not stand out enough`}.`
            : `Screens are being looked at: ${at} of ${project.screens.length}.`)}
      </p>
      {shown.length > 0 && (
        <table className="w-full border-collapse text-left">
          <thead className="text-[12px] text-quiet">
            <tr>
              <th className="w-16 py-1 font-normal">Sample</th>
              <th className="py-1 font-normal">What on what</th>
              <th className="w-36 py-1 font-normal">Mode</th>
              <th className="w-28 py-1 text-right font-normal">Ratio</th>
              <th className="py-1 pl-4 font-normal">Where</th>
              <th className="py-1">
                <span className="sr-only">What would be enough</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((pair) => (
              <PairRow
                key={`${pair.mode} ${pair.what} ${pair.ink} ${pair.ground} ${pair.wanted}`}
                pair={pair}
              />
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** A colour by the token that it is, or as it is. */
const named = (colour: string, tokens: readonly string[]): string => tokens[0] ?? colour;

function PairRow({ pair }: { readonly pair: ColourPair }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const goTo = useGoTo();
  const { what, ink, ground, ratio, needed, wanted, mode, controls } = pair;
  const fix = fails(pair) ? pairSteps(project, pair) : undefined;
  const [first] = controls;
  return (
    <tr className="border-t border-rule align-middle">
      <td className="py-1">
        <svg
          aria-hidden="true"
          viewBox="0 0 48 28"
          className="block h-7 w-12 rounded-sm border border-rule"
          style={{ background: ground }}
        >
          {what === 'words' ? (
            <text x="24" y="19" textAnchor="middle" fontSize="15" fontWeight="500" fill={ink}>
              Aa
            </text>
          ) : (
            <circle cx="24" cy="14" r="7" fill="none" strokeWidth="3" stroke={ink} />
          )}
        </svg>
      </td>
      <td className="py-1">
        {whatWords[what]}: <code className="font-mono text-[12px]">{named(ink, pair.inkTokens)}</code> on{' '}
        <code className="font-mono text-[12px]">{named(ground, pair.groundTokens)}</code>
      </td>
      <td className="py-1 text-quiet">{modeWords[mode]}</td>
      <td className="py-1 text-right font-mono text-[12px]">
        {fails(pair) && (
          <span
            className={`mr-1.5 inline-block size-2 rounded-full ${ratio < needed ? severityFills.warning : severityFills.advice}`}
          />
        )}
        {ratio.toFixed(2)} of {fails(pair) && ratio < needed ? needed : wanted}
      </td>
      <td className="py-1 pl-4">
        {first !== undefined && (
          <button
            type="button"
            className="font-mono text-[12px] text-lake underline decoration-dotted underline-offset-2"
            onClick={() => {
              editor.select([first]);
              goTo('');
            }}
          >
            {placeOf(project, first)}
          </button>
        )}
        {controls.length > 1 && (
          <span className="text-[12px] text-quiet"> and {controls.length - 1} more</span>
        )}
      </td>
      <td className="py-1 text-right">
        {fix && (
          <button
            type="button"
            className="btn"
            title={`The nearest colour that reaches ${wanted} to 1`}
            onClick={() => editor.dispatch({ label: fix.label, steps: fix.steps, exact: true })}
          >
            <span className="mr-1 inline-block size-3 rounded-sm" style={{ background: pair.better }} />
            {fix.label}
          </button>
        )}
      </td>
    </tr>
  );
}

function placeOf(project: Project, id: string): string {
  const found = locate(project, ownId(id));
  return found ? `${found.screen.name}.${namesOn(project, found.screen).get(id) ?? ''}` : '';
}
