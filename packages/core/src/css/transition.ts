/** How values go over into others, as CSS. A page's stylesheet alone says it: no expression does. */
import { layersIn } from '../values/look-css.ts';

/** CSS properties of looks whose names here are others; those of the parts of a box are the same. */
const cssNames: Readonly<Record<string, string>> = {
  corner: 'border-radius',
  shadow: 'box-shadow',
  shift: 'translate',
  blur: 'filter',
  'blur-behind': 'backdrop-filter',
  size: 'font-size',
  weight: 'font-weight',
  background: 'background-color',
  underline: 'text-decoration-color',
};

/** A transition as CSS (CSS Transitions 1 §2.5). */
export const transitionCss = (text: string): string =>
  layersIn(text)
    .map((layer) => {
      const [name = '', ...rest] = layer.split(/\s+/);
      return [cssNames[name] ?? name, ...rest].join(' ');
    })
    .join(', ');
