/** The value of a token in one mode: typed, or, of a colour, chosen. */
import {
  colourIn,
  inSrgb,
  type Mode,
  readTypedValue,
  type Token,
  themeOf,
  tokenName,
  typedText,
} from '@hovrin/core';
import { useId, useState } from 'react';
import { HexAlphaColorPicker } from 'react-colorful';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { modeWords } from '../workbench/bench/benchView.ts';
import { ChoicePopover } from '../workbench/fields/ChoicePopover.tsx';
import { allTokens, setValue } from './tokenSteps.ts';

interface TokenFieldProps {
  readonly token: Token;
  readonly mode: Mode;
}

export function TokenField({ token, mode }: TokenFieldProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const name = tokenName(token.path);
  const held = mode === 'light' ? token.value : token[mode];
  const shown = held === undefined ? '' : typedText(token.type, held, tokenName);
  const known = { tokens: allTokens(project).map((each) => each.token), nameOf: tokenName };
  const text = typed?.trim();
  const isGiven = text !== undefined && (text !== '' || mode === 'light');
  const reading = isGiven ? readTypedValue(token.type, text, known) : undefined;
  const problem = reading && !reading.ok ? reading.message : themeOf(project, mode).problems.get(token.path);
  const label = `${name}, ${modeWords[mode].toLowerCase()}`;
  const give = (next: string | undefined, group?: string) => {
    const read = next === undefined ? undefined : readTypedValue(token.type, next, known);
    if (read && !read.ok) return;
    const steps = setValue(project, token, mode, read?.value);
    if (steps.length > 0)
      editor.dispatch({ label: `Set ${label}`, steps, exact: true, ...(group ? { group } : {}) });
  };
  const leave = () => {
    if (text === undefined || (reading && !reading.ok)) return;
    setTyped(undefined);
    if (text !== shown) give(text === '' && mode !== 'light' ? undefined : text);
  };
  return (
    <div className="min-w-0 flex-1">
      <span className="relative block">
        <input
          id={id}
          className={`field font-mono text-[12px] ${token.type === 'color' ? 'pl-8' : ''}`}
          aria-label={label}
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? `${id}-problem` : undefined}
          placeholder={mode === 'light' ? '' : 'the same'}
          spellCheck={false}
          value={typed ?? shown}
          onChange={({ target }) => setTyped(target.value)}
          onBlur={leave}
          onKeyDown={({ key }) => {
            if (key === 'Enter') leave();
            if (key === 'Escape') setTyped(undefined);
          }}
        />
        {token.type === 'color' && (
          <ColourSwatch
            label={label}
            colour={colourIn(themeOf(project, mode), name)}
            onColour={(hex) => {
              setTyped(undefined);
              give(hex, `token ${token.path} ${mode}`);
            }}
          />
        )}
      </span>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-0.5 text-[12px] text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}

interface ColourSwatchProps {
  readonly label: string;
  readonly colour: string;
  readonly onColour: (hex: string) => void;
}

/** What a colour looks like; pressed, it is chosen, with how much shows through it. */
function ColourSwatch({ label, colour, onColour }: ColourSwatchProps) {
  const srgb = inSrgb(colour);
  return (
    <ChoicePopover
      label={`Choose ${label}`}
      button={
        <button
          type="button"
          className="absolute inset-y-0 left-1 my-auto size-5 rounded-sm border border-rule"
          style={{ background: colour }}
          aria-label={`Choose ${label}`}
        />
      }
      onDone={() => {}}
    >
      {() => (
        <>
          <HexAlphaColorPicker color={srgb?.hex ?? '#808080'} onChange={onColour} />
          <p className="max-w-52 text-[12px] text-quiet">
            {srgb?.isInside === false
              ? `Outside of sRGB: screens without more colours show ${srgb.hex}.`
              : `${srgb?.hex ?? colour}; other ways to write it are typed into the field.`}
          </p>
        </>
      )}
    </ChoicePopover>
  );
}
