/**
 * What a number becomes while its label is dragged. A length goes px for px, to whole steps; a width or height behaves as
 * when its edge is dragged: from the size that it has, within its limits, drawn to its siblings' sizes and to an equal
 * share. All else goes by ones.
 */
import { type Control, effectiveNames, locate, type Property, type ScreenLayout } from '@hovrin/core';
import { useRef } from 'react';
import { useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { limitsOf, resizedTo, siblingSizes, sizeText } from '../hands/resizing.ts';
import { isLength, pixelsIn, steppedText } from './steppedNumber.ts';

/** How far the pointer goes for a count of one more, screen px. */
const perCount = 3;

export interface DraggedNumber {
  /** @param text what the property says as its label is held. */
  readonly from: (text: string) => void;
  /** @param by how far the label is dragged, px. @returns the text then; undefined: nothing that can be dragged. */
  readonly to: (by: number, free: boolean) => string | undefined;
}

export function useDraggedNumber(control: Control, property: Property): DraggedNumber {
  const { editor } = useWorkplace();
  const { snapping } = useBenchView();
  const begun = useRef<{ text: string; layout: ScreenLayout | undefined }>(undefined);
  const from = (text: string) => {
    begun.current = { text, layout: editor.bench?.layout };
  };
  const to = (by: number, free: boolean): string | undefined => {
    if (!begun.current) return undefined;
    const { text, layout } = begun.current;
    const { project, step } = editor.state;
    const snap = { step, on: snapping !== free };
    const side = property.name === 'width' || property.name === 'height' ? property.name : undefined;
    const size = side && layout?.byControl.get(control.id)?.[side];
    const own = pixelsIn(text) ?? (/^(?:|fit|share)$/.test(text) ? size : undefined);
    if (!isLength(property) || own === undefined) return steppedText(text || '0', Math.trunc(by / perCount));
    const found = locate(project, control.id);
    if (side && layout && found?.parent) {
      const names = effectiveNames(found.screen);
      const siblings = siblingSizes(found.parent, control, layout, side, (id) => names.get(id) ?? '');
      return sizeText(resizedTo(own + by, siblings, limitsOf(control, side), snap));
    }
    const asked = Math.round(own + by);
    return String(snap.on ? Math.round(asked / step) * step : asked);
  };
  return { from, to };
}
