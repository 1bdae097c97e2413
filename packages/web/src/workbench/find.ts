/** Finding controls of a screen by name, kind, words, bindings and events. */
import { asTyped, type Control, effectiveNames, kindOf } from '@hovrin/core';
import { hasWords } from '../parts/words.ts';

export interface Found {
  /** Ids of the controls that answer, in document order. */
  readonly hits: readonly string[];
  /** Those and all that is around them. */
  readonly shown: ReadonlySet<string>;
}

/** @param wanted words, all of which a control must have somewhere. */
export function findControls(screen: Control, wanted: string): Found {
  const names = effectiveNames(screen);
  const hits: string[] = [];
  const shown = new Set<string>([screen.id]);
  const visit = (control: Control, around: readonly string[]) => {
    const text = [
      names.get(control.id),
      control.kind,
      kindOf(control).label,
      ...Object.values(control.props).map(asTyped),
    ].join('\n');
    if (control !== screen && hasWords(text, wanted)) {
      hits.push(control.id);
      for (const id of [...around, control.id]) shown.add(id);
    }
    for (const child of control.children) visit(child, [...around, control.id]);
  };
  visit(screen, []);
  return { hits, shown };
}
