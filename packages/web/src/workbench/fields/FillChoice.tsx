/** Choosing what something is filled with: a colour, or a gradient, whose stops are dragged along a bar. */
import { backgroundCss, colourIn, fillLayers, fillText, type Gradient, themeOf } from '@hovrin/core';
import { useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import type { ChoiceProps } from './ChoicePopover.tsx';
import { ColourPicker, useColours } from './ColourChoice.tsx';
import { GradientEditor } from './GradientEditor.tsx';
import { firstGradient, withFirstGradient } from './gradients.ts';
import { SwatchChoice } from './SwatchChoice.tsx';

export function FillChoice({ label, value, onValue, onDone }: ChoiceProps) {
  const { shown } = useColours(value);
  return (
    <SwatchChoice label={label} shown={{ background: shown }} className="w-72" onDone={onDone}>
      {() => <Fill value={value} onValue={onValue} />}
    </SwatchChoice>
  );
}

/** What a fill begins with when a gradient is asked for: from its colour to nothing of it. */
const begun = (colour: string): Gradient => ({
  form: 'linear',
  repeats: false,
  towards: { degrees: 180 },
  stops: [
    { colour: colour === 'none' ? 'tint' : colour, places: [{ fraction: 0, px: 0 }] },
    { colour: 'page', places: [{ fraction: 1, px: 0 }] },
  ],
});

function Fill({ value, onValue }: Pick<ChoiceProps, 'value' | 'onValue'>) {
  const { project } = useEditorState('project');
  const theme = themeOf(project);
  const layers = fillLayers(value) ?? [];
  const held = firstGradient(layers);
  const [isGradient, setIsGradient] = useState(held !== undefined);
  const colour = layers.find((layer) => 'colour' in layer)?.colour ?? 'none';
  const gradient = held ?? begun(colour);
  const choose = (next: boolean) => {
    setIsGradient(next);
    if (next && !held) onValue(fillText([{ gradient }]));
    if (!next && held) onValue(gradient.stops[0]?.colour ?? 'none');
  };
  return (
    <>
      <div role="radiogroup" aria-label="Filled with" className="flex gap-1">
        {(['Colour', 'Gradient'] as const).map((word) => (
          <label
            key={word}
            className="flex h-6 cursor-pointer items-center rounded-sm px-2 has-checked:bg-sunk has-checked:font-medium has-focus-visible:outline-2 has-focus-visible:outline-spruce hover:bg-sunk"
          >
            <input
              type="radio"
              className="sr-only"
              checked={isGradient === (word === 'Gradient')}
              onChange={() => choose(word === 'Gradient')}
            />
            {word}
          </label>
        ))}
      </div>
      {isGradient ? (
        <GradientEditor
          gradient={gradient}
          colourCss={(text) => backgroundCss(text, (name) => colourIn(theme, name))}
          onGradient={(next) => onValue(fillText(withFirstGradient(layers, next)))}
        />
      ) : (
        <ColourPicker value={value} onValue={onValue} />
      )}
      {layers.length > 1 && (
        <p className="text-[12px] text-quiet">{layers.length} layers; the others are typed into the field.</p>
      )}
    </>
  );
}
