/** From the document to boxes: values worked out, words prepared, pictures looked up. */

import { colourValue, theme } from '../document/theme.ts';
import { type Asset, type Control, inForce } from '../document/types.ts';
import type { Circumstances } from '../document/values.ts';
import { type Values, valuesOf } from '../document/values.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Look, Making } from '../kinds/kind.ts';
import { setText, type TextStyle } from '../text/paragraph.ts';
import type { Shaper } from '../text/shaper.ts';
import { scaledSize } from '../text/units.ts';
import { type Box, type BoxStyle, type Content, makeBox, noSides, type Sides, type Size } from './box.ts';

/** What boxes depend on besides the controls themselves. */
export interface Surroundings extends Circumstances {
  readonly shaper: Shaper;
  readonly assets: readonly Asset[];
  readonly textScale: number;
  readonly rightToLeft: boolean;
}

const noStyle: BoxStyle = {
  width: undefined,
  height: undefined,
  minWidth: undefined,
  maxWidth: undefined,
  minHeight: undefined,
  maxHeight: undefined,
  margin: noSides,
  padding: noSides,
  border: noSides,
  alignSelf: undefined,
};

/** Makes boxes; keeps those of controls that did not change, so that their layout is kept too. */
export class Builder {
  private readonly made = new WeakMap<Control, Box | null>();
  private readonly make: Making;

  constructor(private readonly around: Surroundings) {
    const { shaper, textScale } = around;
    const scaled = (style: TextStyle) => ({ ...style, size: scaledSize(style.size, textScale) });
    const content = (text: string, style: TextStyle) =>
      ({ type: 'text', paragraphs: setText(shaper, text, scaled(style)) }) as const;
    const part = (
      box: Omit<Box, 'known' | 'control' | 'children' | 'style'>,
      place: Partial<BoxStyle> = {},
    ) => makeBox({ ...box, control: undefined, children: [], style: { ...noStyle, ...place } });
    this.make = {
      scale: textScale,
      content,
      words: (text, style, look, place) =>
        part({ content: content(text, style), look: scaleLook(look, textScale) }, place),
      blank: (size, look, place) =>
        part({ content: { type: 'blank', ...size }, look: scaleLook(look, textScale) }, place),
      centredBaseline(style, height) {
        const { ascent, descent } = shaper.lineMetrics(
          style.family,
          style.weight,
          scaledSize(style.size, textScale),
        );
        return (height - ascent - descent) / 2 + ascent;
      },
      picture(name) {
        const { width, height } = around.assets.find((asset) => asset.name === name) ?? theme.missingPicture;
        return { width, height };
      },
    };
  }

  /** The box of a control; undefined where it is hidden. */
  box(control: Control): Box | undefined {
    let box = this.made.get(control);
    if (box === undefined) {
      box = this.boxAnew(control) ?? null;
      this.made.set(control, box);
    }
    return box ?? undefined;
  }

  private directed(content: Content): Content {
    return this.around.rightToLeft && content.type === 'flex' ? { ...content, rightToLeft: true } : content;
  }

  private boxAnew(control: Control): Box | undefined {
    const kind = kindOf(control);
    const values = valuesOf(control, kind, this.around);
    if (values.flag('hidden')) return undefined;
    const inside = kind.inside(values, this.make);
    const children = kind.container
      ? control.children.flatMap((child) => this.box(child) ?? [])
      : (inside.parts ?? []);
    return makeBox({
      control: control.id,
      style: { ...styleOf(values), ...inside.style },
      content: this.directed(inside.content),
      children,
      look: scaleLook({ ...boxLookOf(values), ...inside.look }, this.around.textScale),
    });
  }
}

/** A length as browsers keep it: a whole 64th, cut towards zero. */
const kept = (px: number): number => Math.trunc(px * 64) / 64;
const keptSides = (sides: Sides | undefined, keep = kept): Sides =>
  sides
    ? { top: keep(sides.top), end: keep(sides.end), bottom: keep(sides.bottom), start: keep(sides.start) }
    : noSides;
/** Border widths are whole px, never less than one unless none (CSS Backgrounds 3 §3.3, "snap as a border width"). */
const keptBorder = (px: number): number => (px > 0 ? Math.max(1, Math.floor(px)) : 0);
const keptSize = <T extends Size>(size: T): T => (typeof size === 'number' ? (kept(size) as T) : size);

function styleOf(values: Values): BoxStyle {
  return {
    width: keptSize(values.size('width')),
    height: keptSize(values.size('height')),
    minWidth: keptSize(values.limit('min-width')),
    maxWidth: keptSize(values.limit('max-width')),
    minHeight: keptSize(values.limit('min-height')),
    maxHeight: keptSize(values.limit('max-height')),
    margin: keptSides(values.sides('margin')),
    padding: keptSides(values.sides('padding')),
    border: keptSides(values.sides('border-width'), keptBorder),
    alignSelf: values.align('align-self'),
  };
}

function boxLookOf(values: Values): Look {
  const background = values.colour('background');
  const border = values.colour('border-color');
  const corner = values.number('corner');
  return {
    ...(background && background !== 'none' ? { background: colourValue(background) } : {}),
    ...(border && border !== 'none' ? { borderColour: colourValue(border) } : {}),
    ...(corner ? { corner } : {}),
  };
}

/** Looks give text sizes before the reader's text scale; painters want them after it. */
function scaleLook(look: Look, scale: number): Look {
  return look.text ? { ...look, text: { ...look.text, size: scaledSize(look.text.size, scale) } } : look;
}

/** Whether a control is hidden by its own value (expressions aside). */
export const isHidden = (control: Control): boolean => inForce(control.props.hidden) === 'true';
