/** What stands at the end of a field and opens the values that its type knows: colours, icons, words. */
import { type FieldForm, type Property, styleNames } from '@hovrin/core';
import { ChevronDown } from 'lucide-react';
import type { ComponentType } from 'react';
import { Menu } from '../../parts/Menu.tsx';
import type { ChoiceProps } from './ChoicePopover.tsx';
import { ColourChoice } from './ColourChoice.tsx';
import { FillChoice } from './FillChoice.tsx';
import { IconChoice } from './IconChoice.tsx';
import { ShadowChoice } from './ShadowChoice.tsx';
import { TransitionChoice } from './TransitionChoice.tsx';
import { toggledStyle } from './useValueWords.ts';

// The same element each time: nothing looks at it again.
const moreIcon = <ChevronDown size={13} />;

interface ValueChoiceProps extends ChoiceProps {
  readonly type: Property['type'];
  /** Words to choose from. */
  readonly words: readonly string[];
}

/** What opens instead of a list of words, by the form that a type asks for. */
const choosers: { readonly [Form in FieldForm]?: ComponentType<ChoiceProps> } = {
  colour: ColourChoice,
  fill: FillChoice,
  shadow: ShadowChoice,
  transition: TransitionChoice,
  icon: IconChoice,
};

/** Nothing where the values of the type cannot be listed. */
export function ValueChoice({ type, label, value, words, onValue, onDone }: ValueChoiceProps) {
  const Chooser = type.field && choosers[type.field];
  if (Chooser) return <Chooser {...{ label, value, onValue, onDone }} />;
  if (words.length === 0) return null;
  const isList = type.name === 'styles';
  return (
    <WordsButton
      label={label}
      words={words}
      checked={isList ? styleNames(value) : undefined}
      onWord={(word) => onValue(isList ? toggledStyle(value, word) : word)}
    />
  );
}

function WordsButton({
  label,
  words,
  checked,
  onWord,
}: {
  label: string;
  words: readonly string[];
  /** Those that are in force, where several may be. */
  checked: readonly string[] | undefined;
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
      entries={words.map((word) => ({
        label: word,
        ...(checked ? { checked: checked.includes(word) } : {}),
        onSelect: () => onWord(word),
      }))}
    />
  );
}
