/** Icons that show a direction: on request they are drawn the other way round where one reads from right to left. */
import type { Values } from '../cascade/values.ts';
import type { Shape } from '../icons/icon-set.ts';
import { flagType } from '../property-types/index.ts';
import { iconAttributes, iconDrawing } from './drawings.ts';
import type { Drawing, PageElement } from './kind.ts';
import { property } from './properties.ts';

export const mirror = property({
  name: 'mirror',
  label: 'Mirrored from the right',
  group: 'look',
  type: flagType,
  effect: 'look',
  perBand: false,
  page: { as: 'inside' },
});

const mirroredClass = 'part-mirrored';

/** The `svg` that shows an icon of a control. @param classes its own. */
export const iconPart = (values: Values, icon: string, classes: readonly string[] = []): PageElement => {
  const all = values.flag(mirror) ? [...classes, mirroredClass] : classes;
  return { tag: 'svg', ...(all.length > 0 ? { classes: all } : {}), attributes: iconAttributes, icon };
};

/** The drawing of an icon of a control, as it is painted. */
export function directedDrawing(values: Values, shapes: readonly Shape[], rightToLeft: boolean): Drawing {
  const drawing = iconDrawing(shapes);
  if (!rightToLeft || !values.flag(mirror)) return drawing;
  const transform = `matrix(-1 0 0 1 ${drawing.size[0]} 0)`;
  return {
    ...drawing,
    shapes: drawing.shapes.map(([tag, attributes]) => [tag, { ...attributes, transform }]),
  };
}

/** Shared by the kinds that have such icons. */
export const mirrorCss = (): string => `[dir="rtl"] .${mirroredClass} {
  scale: -1 1;
}`;
