/** Choosing a colour: one of the project's tokens, or one of one's own, with alpha. */
import { backgroundCss, colourIn, inSrgb, themeOf } from '@hovrin/core';
import { HexAlphaColorPicker } from 'react-colorful';
import { useEditorState } from '../../editor/context.tsx';
import { ChoicePopover, type ChoiceProps } from './ChoicePopover.tsx';

export function ColourChoice({ label, value, onValue, onDone }: ChoiceProps) {
  const { project } = useEditorState('project');
  const theme = themeOf(project);
  const names = [...theme.tokens.values()].filter(({ type }) => type === 'color').map(({ name }) => name);
  const shown = value === '' ? 'transparent' : backgroundCss(value, (name) => colourIn(theme, name));
  return (
    <ChoicePopover
      label={`Choose ${label}`}
      button={
        <button
          type="button"
          className="absolute inset-y-0 right-1 my-auto size-5 rounded-sm border border-rule"
          style={{ background: shown }}
          aria-label={`Choose ${label}`}
        />
      }
      onDone={onDone}
    >
      {() => (
        <>
          <div className="grid max-h-40 grid-cols-5 gap-1.5 overflow-y-auto">
            {names.map((name) => (
              <button
                key={name}
                type="button"
                className={`h-7 w-9 rounded-sm border ${name === value ? 'border-ink' : 'border-rule'}`}
                style={{ background: theme.colours[name] }}
                title={name}
                aria-label={name}
                onClick={() => onValue(name)}
              />
            ))}
          </div>
          <HexAlphaColorPicker color={inSrgb(colourIn(theme, value))?.hex ?? '#ffffff'} onChange={onValue} />
          <button type="button" className="btn" onClick={() => onValue('none')}>
            None
          </button>
        </>
      )}
    </ChoicePopover>
  );
}
