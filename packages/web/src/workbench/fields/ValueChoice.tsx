/** What stands at the end of a field and opens the values that its type knows: colours, icons, words. */
import { colourIn, colourRoles, type FieldForm, type Property, themeOf } from '@hovrin/core';
import { ChevronDown } from 'lucide-react';
import type { ComponentType } from 'react';
import { HexColorPicker } from 'react-colorful';
import { useEditorState } from '../../editor/context.tsx';
import { Menu } from '../../parts/Menu.tsx';
import { ChoicePopover, type ChoiceProps } from './ChoicePopover.tsx';
import { IconChoice } from './IconChoice.tsx';

// The same element each time: nothing looks at it again.
const moreIcon = <ChevronDown size={13} />;

interface ValueChoiceProps extends ChoiceProps {
  readonly type: Property['type'];
  /** Words to choose from; those of the type where absent. */
  readonly words?: readonly string[];
}

/** What opens instead of a list of words, by the form that a type asks for. */
const choosers: { readonly [Form in FieldForm]?: ComponentType<ChoiceProps> } = {
  colour: ColourButton,
  icon: IconChoice,
};

/** Nothing where the values of the type cannot be listed. */
export function ValueChoice({ type, label, value, words = type.words, onValue, onDone }: ValueChoiceProps) {
  const Chooser = type.field && choosers[type.field];
  if (Chooser) return <Chooser {...{ label, value, onValue, onDone }} />;
  return words.length > 0 ? <WordsButton {...{ label, words }} onWord={onValue} /> : null;
}

function WordsButton({
  label,
  words,
  onWord,
}: {
  label: string;
  words: readonly string[];
  onWord: (word: string) => void;
}) {
  return (
    <Menu
      label={`Values of ${label}`}
      button={
        <button
          type="button"
          tabIndex={-1}
          className="absolute inset-y-0 right-0 grid w-6 place-items-center text-quiet hover:text-ink"
          aria-label={`Values of ${label}`}
        >
          {moreIcon}
        </button>
      }
      entries={words.map((word) => ({ label: word, onSelect: () => onWord(word) }))}
    />
  );
}

function ColourButton({ label, value, onValue, onDone }: ChoiceProps) {
  const { project } = useEditorState('project');
  const theme = themeOf(project);
  const colour = colourIn(theme, value);
  const shown = colour.startsWith('#') ? colour : 'transparent';
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
          <div className="grid grid-cols-5 gap-1.5">
            {colourRoles.map((name) => (
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
          <HexColorPicker color={shown === 'transparent' ? '#ffffff' : shown} onChange={onValue} />
          <button type="button" className="btn" onClick={() => onValue('none')}>
            None
          </button>
        </>
      )}
    </ChoicePopover>
  );
}
