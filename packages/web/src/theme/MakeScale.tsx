/** Many tokens in one go: lengths that grow by a ratio, or one hue from light to dark. */
import {
  colourValue,
  mostInScale,
  type Project,
  putting,
  rampColours,
  rampTokens,
  scaleLengths,
  scaleTokens,
  type Token,
  tokenName,
  tokenPathProblem,
} from '@hovrin/core';
import { type ReactNode, useState } from 'react';
import { HexColorPicker } from 'react-colorful';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { Dialog } from '../parts/Dialog.tsx';
import { FormEnd } from '../parts/FormEnd.tsx';
import { SwatchChoice } from '../workbench/fields/SwatchChoice.tsx';
import { allTokens } from './tokenSteps.ts';

export type ScaleSort = 'lengths' | 'colours';

export function MakeScale({ sort, onClose }: { readonly sort: ScaleSort; readonly onClose: () => void }) {
  return (
    <Dialog title={sort === 'lengths' ? 'A scale of lengths' : 'Shades of a colour'} onClose={onClose}>
      {sort === 'lengths' ? <Lengths onClose={onClose} /> : <Shades onClose={onClose} />}
    </Dialog>
  );
}

/** Ratios that scales often have, by what musicians call them. */
const ratios: readonly (readonly [number, string])[] = [
  [1.125, 'major second'],
  [1.2, 'minor third'],
  [1.25, 'major third'],
  [1.333, 'fourth'],
  [1.5, 'fifth'],
  [2, 'octave'],
];

function Lengths({ onClose }: { readonly onClose: () => void }) {
  const [name, setName] = useState('space');
  const [base, setBase] = useState('16');
  const [ratio, setRatio] = useState('1.5');
  const [count, setCount] = useState('7');
  const [at, setAt] = useState('4');
  const scale = { name, base: Number(base), ratio: Number(ratio), count: Number(count), at: Number(at) };
  const problem = !(scale.base > 0 && scale.base <= 400)
    ? 'The base is a length above 0, up to 400.'
    : !(scale.ratio > 1 && scale.ratio <= 4)
      ? 'The ratio is a number above 1, up to 4.'
      : !(Number.isInteger(scale.count) && scale.count >= 2 && scale.count <= mostInScale)
        ? `A scale has 2 to ${mostInScale} lengths.`
        : !(Number.isInteger(scale.at) && scale.at >= 1 && scale.at <= scale.count)
          ? 'The base is one of them, counted from 1.'
          : undefined;
  const lengths = problem ? [] : scaleLengths(scale);
  return (
    <Making {...{ name, setName, onClose }} problem={problem} tokens={problem ? [] : scaleTokens(scale)}>
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="Base, px" value={base} onValue={setBase} />
        <label className="flex flex-col gap-1">
          Ratio
          <input
            className="field"
            list="scale-ratios"
            inputMode="decimal"
            value={ratio}
            onChange={({ target }) => setRatio(target.value)}
          />
          <datalist id="scale-ratios">
            {ratios.map(([value, word]) => (
              <option key={value} value={value} label={word} />
            ))}
          </datalist>
        </label>
        <NumberField label="How many" value={count} onValue={setCount} />
        <NumberField label="The base is number" value={at} onValue={setAt} />
      </div>
      <ul className="flex flex-col gap-1" aria-label="Lengths">
        {lengths.map((length, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a length is nothing but its place in the scale.
          <li key={index} className="flex items-center gap-2">
            <code className="w-28 shrink-0 truncate font-mono text-[12px]">
              {name}.{index + 1}
            </code>
            <span className="w-10 shrink-0 text-right font-mono text-[12px] text-quiet">{length}</span>
            <span className="h-2.5 max-w-full rounded-sm bg-spruce" style={{ width: length }} />
          </li>
        ))}
      </ul>
    </Making>
  );
}

function Shades({ onClose }: { readonly onClose: () => void }) {
  const [name, setName] = useState('moss');
  const [colour, setColour] = useState('#4f6b16');
  const [count, setCount] = useState('9');
  const [turnsInDark, setTurnsInDark] = useState(true);
  const ramp = { name, colour, count: Number(count), turnsInDark };
  const problem =
    colourValue(colour) === undefined
      ? `“${colour}” is no colour of CSS.`
      : !(Number.isInteger(ramp.count) && ramp.count >= 2 && ramp.count <= mostInScale)
        ? `There are 2 to ${mostInScale} shades.`
        : undefined;
  const colours = problem ? [] : (rampColours(ramp) ?? []);
  return (
    <Making {...{ name, setName, onClose }} problem={problem} tokens={problem ? [] : rampTokens(ramp)}>
      <div className="grid grid-cols-2 gap-3">
        <label className="flex flex-col gap-1">
          Colour
          <span className="relative">
            <input
              className="field pl-8 font-mono text-[12px]"
              spellCheck={false}
              value={colour}
              onChange={({ target }) => setColour(target.value)}
            />
            <SwatchChoice label="the colour" shown={{ background: colour }} side="left">
              {() => <HexColorPicker color={colour} onChange={setColour} />}
            </SwatchChoice>
          </span>
        </label>
        <NumberField label="How many" value={count} onValue={setCount} />
      </div>
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-spruce"
          checked={turnsInDark}
          onChange={({ target }) => setTurnsInDark(target.checked)}
        />
        The other way round in the dark
      </label>
      <ul className="flex" aria-label="Shades">
        {colours.map((shade, index) => (
          <li key={shade + String(index)} className="flex flex-1 flex-col items-center gap-1">
            <span className="h-10 w-full" style={{ background: shade }} title={shade} />
            <code className="font-mono text-[11px] text-quiet">{(index + 1) * 100}</code>
          </li>
        ))}
      </ul>
    </Making>
  );
}

interface NumberFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string) => void;
}

const NumberField = ({ label, value, onValue }: NumberFieldProps) => (
  <label className="flex flex-col gap-1">
    {label}
    <input
      className="field"
      inputMode="decimal"
      value={value}
      onChange={({ target }) => onValue(target.value)}
    />
  </label>
);

interface MakingProps {
  readonly name: string;
  readonly setName: (name: string) => void;
  readonly onClose: () => void;
  readonly problem: string | undefined;
  readonly tokens: readonly Token[];
  readonly children: ReactNode;
}

/** What both have in common: a name, what is wrong, and the button that makes them, one undo for all. */
function Making({ name, setName, onClose, problem, tokens, children }: MakingProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const wrong = problem ?? nameProblem(project, name, tokens);
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (wrong) return;
        editor.dispatch({
          label: `Make the tokens ${name}`,
          steps: tokens.map((token) => putting('tokens', token)),
          exact: true,
        });
        onClose();
      }}
    >
      <label className="flex flex-col gap-1">
        Their names begin with
        <input
          className="field font-mono text-[12px]"
          spellCheck={false}
          value={name}
          onChange={({ target }) => setName(target.value.trim())}
        />
      </label>
      {children}
      <FormEnd problem={wrong} action={`Make ${tokens.length} tokens`} onClose={onClose} />
    </form>
  );
}

/** Why tokens cannot have these names; undefined where they can. */
function nameProblem(project: Project, name: string, tokens: readonly Token[]): string | undefined {
  if (name === '') return 'They need a name.';
  const wrong = tokens.flatMap(({ path }) => tokenPathProblem(path) ?? []);
  if (wrong[0] !== undefined) return wrong[0];
  const taken = new Set(allTokens(project).map(({ token }) => tokenName(token.path)));
  const twice = tokens.find(({ path }) => taken.has(tokenName(path)));
  return twice && `There is a token \`${tokenName(twice.path)}\` already.`;
}
