/** The tokens of the project by what they are for, each with its values in every mode. */
import { modes, putting, shippedTokens, type TokenType, tokenTypes } from '@hovrin/core';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { flushSync } from 'react-dom';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { Menu } from '../parts/Menu.tsx';
import { modeWords } from '../workbench/bench/benchView.ts';
import { MakeScale, type ScaleSort } from './MakeScale.tsx';
import { TokenRow } from './TokenRow.tsx';
import { allTokens, newToken } from './tokenSteps.ts';

const sections: readonly (readonly [title: string, words: string, types: readonly TokenType[]])[] = [
  ['Colours', 'What roles and controls are painted with.', ['color']],
  ['Lengths and numbers', 'Spaces, sizes, corners, line heights.', ['dimension', 'number']],
  [
    'Letters',
    'Fonts, weights, and both together with size and line.',
    ['fontFamily', 'fontWeight', 'typography'],
  ],
  ['Shadows, gradients, borders', 'Looks that are said as a whole.', ['shadow', 'gradient', 'border']],
  [
    'Time',
    'How long, and how evenly, something goes over into something else.',
    ['duration', 'cubicBezier', 'transition'],
  ],
];

const typeWords: Readonly<Record<TokenType, string>> = {
  color: 'Colour',
  dimension: 'Length',
  fontFamily: 'Font',
  fontWeight: 'Weight',
  number: 'Number',
  duration: 'Duration',
  cubicBezier: 'Curve of time',
  shadow: 'Shadow',
  gradient: 'Gradient',
  typography: 'Typography',
  border: 'Border',
  transition: 'Transition',
};

export function Tokens() {
  const { editor } = useWorkplace();
  const [scale, setScale] = useState<ScaleSort>();
  const { project } = useEditorState('project');
  const all = allTokens(project);
  const shipped = new Set(shippedTokens.map(({ path }) => path));
  const add = (type: TokenType) => {
    const token = newToken(project, type);
    // Its field is there before the next key comes.
    flushSync(() =>
      editor.dispatch({
        label: `Add a ${typeWords[type].toLowerCase()}`,
        steps: [putting('tokens', token)],
        exact: true,
      }),
    );
    const field = document.querySelector<HTMLInputElement>(`input[data-token="${CSS.escape(token.path)}"]`);
    field?.focus();
    field?.select();
  };
  return (
    <section aria-label="Tokens" className="flex flex-col gap-4">
      <div className="flex items-end justify-between gap-4">
        <div>
          <h2 className="text-[15px] font-semibold">Tokens</h2>
          <p className="text-quiet">
            Values with a name, said once. Any property takes one by its name; an empty field is the same as
            in the light.
          </p>
        </div>
        <Menu
          label="Add a token"
          button={
            <button type="button" className="btn btn-main">
              <Plus size={15} aria-hidden /> Add a token
            </button>
          }
          entries={[
            ...tokenTypes.map((type) => ({ label: typeWords[type], onSelect: () => add(type) })),
            { label: 'A scale of lengths …', onSelect: () => setScale('lengths') },
            { label: 'Shades of a colour …', onSelect: () => setScale('colours') },
          ]}
        />
        {scale && <MakeScale sort={scale} onClose={() => setScale(undefined)} />}
      </div>
      {sections.map(([title, words, types]) => (
        <div key={title}>
          <h3 className="font-semibold">{title}</h3>
          <p className="text-[12px] text-quiet">{words}</p>
          <div
            className={`mt-1 flex gap-2 text-[12px] text-quiet ${all.some(({ token }) => types.includes(token.type)) ? '' : 'hidden'}`}
            aria-hidden
          >
            <span className="w-40 shrink-0">Name</span>
            {modes.map((mode) => (
              <span key={mode} className="flex-1">
                {modeWords[mode]}
              </span>
            ))}
            <span className="w-[100px] shrink-0" />
          </div>
          <ul>
            {all
              .filter(({ token }) => types.includes(token.type))
              .map(({ token, isOwn }) => (
                <TokenRow key={token.path} token={token} isOwn={isOwn} isShipped={shipped.has(token.path)} />
              ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
