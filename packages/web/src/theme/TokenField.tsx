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
import { HexAlphaColorPicker } from 'react-colorful';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { TypedField } from '../parts/TypedField.tsx';
import { modeWords } from '../workbench/bench/benchView.ts';
import { SwatchChoice } from '../workbench/fields/SwatchChoice.tsx';
import { allTokens, setValue } from './tokenSteps.ts';

interface TokenFieldProps {
  readonly token: Token;
  readonly mode: Mode;
}

export function TokenField({ token, mode }: TokenFieldProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const name = tokenName(token.path);
  const held = mode === 'light' ? token.value : token[mode];
  const kept = held === undefined ? '' : typedText(token.type, held, tokenName);
  const known = { tokens: allTokens(project).map((each) => each.token), nameOf: tokenName };
  const label = `${name}, ${modeWords[mode].toLowerCase()}`;
  // Without a value of its own a mode has that of the light.
  const read = (text: string) =>
    text === '' && mode !== 'light' ? undefined : readTypedValue(token.type, text, known);
  const give = (text: string, group?: string) => {
    const reading = read(text);
    if (reading && !reading.ok) return;
    const steps = setValue(project, token, mode, reading?.value);
    if (steps.length > 0)
      editor.dispatch({ label: `Set ${label}`, steps, exact: true, ...(group ? { group } : {}) });
  };
  const theme = themeOf(project, mode);
  return (
    <TypedField
      label={label}
      kept={kept}
      problemOf={(text) => {
        const reading = read(text);
        return reading && !reading.ok ? reading.message : undefined;
      }}
      problem={theme.problems.get(token.path)}
      onText={(text) => give(text)}
      placeholder={mode === 'light' ? '' : 'the same'}
      className={token.type === 'color' ? 'pl-8' : ''}
    >
      {token.type === 'color' && (
        <ColourSwatch
          label={label}
          colour={colourIn(theme, name)}
          onColour={(hex) => give(hex, `token ${token.path} ${mode}`)}
        />
      )}
    </TypedField>
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
    <SwatchChoice label={label} shown={{ background: colour }} side="left">
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
    </SwatchChoice>
  );
}
