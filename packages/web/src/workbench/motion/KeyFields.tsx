/** The chosen keys: when they stand, how the value comes there, and what the control is there. */
import {
  type Control,
  easedKeys,
  easingOf,
  easingWords,
  inForce,
  keyControl,
  keyEase,
  keyedIn,
  keyTime,
  type Step,
} from '@hovrin/core';
import { Trash2 } from 'lucide-react';
import { TypedField } from '../../parts/TypedField.tsx';
import { EaseCurve } from './EaseCurve.tsx';

interface KeyFieldsProps {
  readonly keys: readonly Control[];
  /** Part of the motion that the playhead is at; undefined: it is not shown. */
  readonly head: number | undefined;
  readonly onSteps: (label: string, steps: readonly Step[]) => void;
  readonly onLineUp: () => void;
  readonly onRepeat: () => void;
}

/** What all keys say; undefined where they differ. */
const shared = (keys: readonly Control[], name: string): string | undefined => {
  const texts = new Set(keys.map(({ props }) => inForce(props[name]) ?? ''));
  return texts.size === 1 ? [...texts][0] : undefined;
};

export function KeyFields({ keys, head, onSteps, onLineUp, onRepeat }: KeyFieldsProps) {
  const [only] = keys;
  if (!only) return null;
  const set = (property: string, value: string | null) =>
    onSteps(
      'Set keys',
      keys.map(({ id }) => ({ type: 'set', control: id, property, value })),
    );
  return (
    <section aria-label="Chosen keys" className="flex flex-col gap-2">
      <div className="flex items-center gap-1">
        <h3 className="min-w-0 flex-1 truncate font-semibold">
          {keys.length === 1 ? inForce(only.props[keyControl.name]) : `${keys.length} keys`}
        </h3>
        <button
          type="button"
          className="btn-bare text-quiet hover:text-brick"
          aria-label="Delete the keys"
          title="Delete the keys (Del)"
          onClick={() =>
            onSteps(
              'Delete keys',
              keys.map(({ id }) => ({ type: 'remove', control: id })),
            )
          }
        >
          <Trash2 size={14} />
        </button>
      </div>
      <Line words="At">
        <TypedField
          label="At"
          kept={shared(keys, keyTime.name) ?? ''}
          placeholder="several"
          problemOf={(text) => {
            const read = keyTime.type.read(text);
            return read.ok ? undefined : read.message;
          }}
          onText={(text) => set(keyTime.name, text)}
        />
      </Line>
      <EaseFields keys={keys} onSteps={onSteps} onCurve={(text) => set(keyEase.name, text)} />
      {keys.length === 1 &&
        keyedIn(only).map(({ property, text }) => (
          <Line key={property.name} words={property.label}>
            <TypedField
              label={property.label}
              kept={text}
              problemOf={(typed) => {
                const read = property.type.read(typed);
                return read.ok || property.type.takes ? undefined : read.message;
              }}
              onText={(typed) => set(property.name, typed)}
            />
          </Line>
        ))}
      <div className="flex flex-wrap gap-1.5">
        <button type="button" className="btn !h-6" disabled={head === undefined} onClick={onLineUp}>
          Line up at the playhead
        </button>
        <button type="button" className="btn !h-6" disabled={head === undefined} onClick={onRepeat}>
          Copy to the playhead
        </button>
      </div>
    </section>
  );
}

interface EaseFieldsProps extends Pick<KeyFieldsProps, 'keys' | 'onSteps'> {
  /** A curve of one's own was typed. */
  readonly onCurve: (text: string) => void;
}

/** How values come to the keys: by name, or by a curve. */
function EaseFields({ keys, onSteps, onCurve }: EaseFieldsProps) {
  const ease = shared(keys, keyEase.name);
  return (
    <>
      <Line words="Comes by">
        <select
          className="field"
          aria-label="Comes by"
          value={ease === undefined ? '' : easingWords.includes(ease || 'linear') ? ease || 'linear' : 'own'}
          onChange={({ target: { value } }) =>
            onSteps(
              'Set how keys come',
              easedKeys(
                keys,
                value === 'linear' ? null : value === 'own' ? 'cubic-bezier(0.3, 0, 0.2, 1)' : value,
              ),
            )
          }
        >
          {ease === undefined && <option value="">several</option>}
          {easingWords.map((word) => (
            <option key={word}>{word}</option>
          ))}
          <option value="own">a curve of your own</option>
        </select>
      </Line>
      {ease !== undefined && (
        <div className="flex items-start gap-2">
          <EaseCurve ease={ease || 'linear'} />
          {ease !== '' && !easingWords.includes(ease) && (
            <TypedField
              label="Curve"
              kept={ease}
              problemOf={(text) => (easingOf(text) ? undefined : 'Such as `cubic-bezier(0.3, 0, 0.2, 1.4)`.')}
              onText={onCurve}
            />
          )}
        </div>
      )}
    </>
  );
}

const Line = ({ words, children }: { readonly words: string; readonly children: React.ReactNode }) => (
  <div className="flex items-start gap-2">
    <span className="w-20 shrink-0 pt-1 text-[12px]">{words}</span>
    {children}
  </div>
);
