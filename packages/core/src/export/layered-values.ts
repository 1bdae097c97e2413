/** What a page's rules say about controls: each style in a layer of its own, and above them what is left to the control. */
import type { Conditions, Layer } from '../cascade/cascade.ts';
import { layersOf } from '../cascade/cascade.ts';
import { plainlyIn, plainValues } from '../cascade/plain-values.ts';
import type { Values } from '../cascade/values.ts';
import {
  aroundOf,
  colourDeclarations,
  type Declarations,
  declarations,
  partDeclarations,
  withoutParts,
} from '../css/declarations.ts';
import { inkDeclarations, lookDeclarations } from '../css/look.ts';
import { transitionCss } from '../css/transition.ts';
import { hasPlainStyle, type Style, stylesOver } from '../document/style-set.ts';
import type { Control } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { saidOfPart } from '../kinds/look-parts.ts';
import { arrangementOf, mannerOf } from '../kinds/manner.ts';
import { background, colour, transition, z } from '../kinds/properties.ts';
import { pictureSizes } from './picture-sizes.ts';
import { byAxis } from './sides.ts';
import { type CssThemes, withVariables } from './theme-variables.ts';

/** Declarations by what stands behind the control's selector: nothing, or a part inside its element. */
export type Inside = ReadonlyMap<string, Declarations>;

/** A control, and what it stands in. */
export interface Standing {
  readonly control: Control;
  readonly parent: Control | undefined;
}

const nothing: Declarations = new Map();

/** The declarations of some values of a control. @param isWhole whether they are all that is said of it. */
function declared(
  { control, parent }: Standing,
  said: Values,
  conditions: Conditions,
  isWhole: boolean,
): Map<string, Declarations> {
  const kind = kindOf(control);
  const manner = mannerOf(kind);
  const parts = kind.parts?.(control.children) ?? [];
  const around = aroundOf(parent, control, conditions);
  const arrangement = arrangementOf(manner, isWhole ? said : plainValues(control, conditions));
  const css = new Map(declarations(withoutParts(said, parts), manner, around, arrangement));
  // A pane of a split takes its part of the width, whatever is in it.
  if (isWhole && around.type === 'pane') {
    css.set('flex', `${around.part} 1 0px`);
    if (!css.has('min-width')) css.set('min-width', '0');
  }
  if (isWhole && parent) pictureSizes(css, { control, parent, values: said, conditions, around });
  for (const each of colourDeclarations(manner, said)) css.set(...each);
  const over = said.own(transition);
  if (over !== undefined) css.set('transition', transitionCss(over));
  // What lies above or below its siblings does so among them alone.
  if (isWhole && control.children.some((child) => plainValues(child, conditions).get(z) !== undefined))
    css.set('isolation', 'isolate');
  const found = new Map<string, Declarations>([['', css]]);
  for (const part of kind.lookParts ?? []) {
    const look = partLook(saidOfPart(said, part));
    if (look.size === 0) continue;
    found.set(part.selector, look);
    if (part.elsewhere !== undefined) found.set(part.elsewhere, look);
  }
  for (const part of parts) found.set(` ${part.selector}`, partDeclarations(said, manner, part, arrangement));
  return found;
}

/** What is said of a part that has a look of its own. */
function partLook(values: Values): Declarations {
  const css = new Map<string, string>();
  lookDeclarations(css, values);
  const ink = values.own(colour);
  if (ink !== undefined) for (const each of inkDeclarations(ink, values.own(background))) css.set(...each);
  return css;
}

/** The same, with custom properties of tokens where numbers follow them. */
function withTokens(
  themes: CssThemes,
  make: (theme: CssThemes['plain']) => Map<string, Declarations>,
): Inside {
  const plain = make(themes.plain);
  if (!themes.larger) return plain;
  const [one, other] = [make(themes.larger[0]), make(themes.larger[1])];
  return new Map(
    [...plain].map(([inside, css]) => [
      inside,
      new Map(
        [...css].map(([name, value]) => {
          const larger = [one.get(inside)?.get(name), other.get(inside)?.get(name)] as const;
          return [
            name,
            larger[0] === undefined || larger[1] === undefined
              ? value
              : withVariables(value, [larger[0], larger[1]], themes.nudges),
          ];
        }),
      ),
    ]),
  );
}

const inAxes = (inside: Inside): Map<string, Declarations> =>
  new Map([...inside].map(([name, css]) => [name, byAxis(css)]));

/** All that is said of a control under some conditions, by whatever layer. @param named the styles that it has. */
const allDeclared = (at: Standing, prefixes: readonly string[], themes: CssThemes, named?: string): Inside =>
  withTokens(themes, (theme) =>
    declared(at, plainValues(at.control, { prefixes, theme }, named), { prefixes, theme }, true),
  );

/** What one layer says of it, its sides by axis. */
export const layerDeclared = (
  at: Standing,
  layer: Pick<Layer, 'props'>,
  prefixes: readonly string[],
  themes: CssThemes,
): Inside =>
  withTokens(themes, (theme) =>
    inAxes(declared(at, plainlyIn(at.control, layer, { prefixes, theme }), { prefixes, theme }, false)),
  );

/** What is left to a control's own rules: what it says itself, and all that its styles' rules do not come to. */
export function ownDeclared(at: Standing, prefixes: readonly string[], themes: CssThemes): Inside {
  const { styles: set } = themes.plain;
  const over = stylesOver(at.control, set);
  if (over.length === 0) return allDeclared(at, prefixes, themes);
  const all = inAxes(allDeclared(at, prefixes, themes));
  const [, ...styles] = layersOf(at.control, set);
  const said = layerDeclared(at, at.control, prefixes, themes);
  const below = styles.toReversed().map((layer) => layerDeclared(at, layer, prefixes, themes));
  const insides = new Set([...all.keys(), ...below.flatMap((each) => [...each.keys()])]);
  return new Map(
    [...insides].map((inside) => {
      const css = all.get(inside) ?? nothing;
      const byStyles = new Map(below.flatMap((each) => [...(each.get(inside) ?? nothing)]));
      const back = [...byStyles.keys()].filter((name) => !css.has(name));
      const left = [...css].filter(
        ([name, value]) => said.get(inside)?.has(name) || byStyles.get(name) !== value,
      );
      // What goes back comes first: it must not take what is said below it along.
      return [inside, new Map([...back.map((name) => [name, 'initial'] as const), ...left])];
    }),
  );
}

/**
 * What a style says of a control that may come to have it. Where the control would be laid out otherwise with it than by its own
 * rules, that is important: those rules do not know of the style.
 */
export function comingDeclared(
  at: Standing,
  style: Style,
  prefixes: readonly string[],
  themes: CssThemes,
): Inside {
  const said = layerDeclared(at, style, prefixes, themes);
  if (hasPlainStyle(at.control)) return said;
  const own = inAxes(allDeclared(at, prefixes, themes));
  const together = inAxes(allDeclared(at, prefixes, themes, style.name));
  return new Map(
    [...together].map(([inside, css]) => {
      const before = own.get(inside) ?? nothing;
      const made = new Map<string, string>();
      for (const name of before.keys()) if (!css.has(name)) made.set(name, 'initial !important');
      for (const [name, value] of css) {
        const alone = before.get(name);
        if (alone === value && !said.get(inside)?.has(name)) continue;
        made.set(name, alone === undefined || alone === value ? value : `${value} !important`);
      }
      return [inside, made];
    }),
  );
}
