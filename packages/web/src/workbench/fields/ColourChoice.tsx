/** Choosing a colour: one of the project's tokens, or one of one's own, with alpha. */
import { backgroundCss, colourIn, inSrgb, type Theme, themeOf } from '@hovrin/core';
import { HexAlphaColorPicker } from 'react-colorful';
import { useEditorState } from '../../editor/context.tsx';
import type { ChoiceProps } from './ChoicePopover.tsx';
import { SwatchChoice } from './SwatchChoice.tsx';

/** The colours of the project, and what a value looks like. */
export function useColours(value: string): {
  readonly theme: Theme;
  readonly names: readonly string[];
  readonly shown: string;
} {
  const { project } = useEditorState('project');
  const theme = themeOf(project);
  const names = [...theme.tokens.values()].filter(({ type }) => type === 'color').map(({ name }) => name);
  const shown = value === '' ? 'transparent' : backgroundCss(value, (name) => colourIn(theme, name));
  return { theme, names, shown };
}

export function ColourChoice({ label, value, onValue, onDone }: ChoiceProps) {
  const { shown } = useColours(value);
  return (
    <SwatchChoice label={label} shown={{ background: shown }} onDone={onDone}>
      {() => <ColourPicker value={value} onValue={onValue} />}
    </SwatchChoice>
  );
}

/** The tokens of the project as swatches, a picker, and a button for none. */
export function ColourPicker({
  value,
  onValue,
  canBeNone = true,
}: Pick<ChoiceProps, 'value' | 'onValue'> & {
  /** Whether no colour is one, too. */
  readonly canBeNone?: boolean;
}) {
  const { theme, names } = useColours(value);
  const srgb = inSrgb(colourIn(theme, value));
  return (
    <>
      <div className="flex max-h-28 flex-wrap gap-1.5 overflow-y-auto">
        {names.map((name) => (
          <button
            key={name}
            type="button"
            className={`h-7 w-9 rounded-sm border ${name === value ? 'border-ink' : 'border-rule'}`}
            style={{ background: theme.colours[name] }}
            title={name}
            aria-label={name}
            aria-pressed={name === value}
            onClick={() => onValue(name)}
          />
        ))}
      </div>
      <HexAlphaColorPicker className="!h-32 !w-full" color={srgb?.hex ?? '#ffffff'} onChange={onValue} />
      {srgb?.isInside === false && (
        <p className="max-w-52 text-[12px] text-quiet">
          Outside of sRGB: screens without more colours show {srgb.hex}.
        </p>
      )}
      {canBeNone && (
        <button type="button" className="btn" onClick={() => onValue('none')}>
          None
        </button>
      )}
    </>
  );
}
