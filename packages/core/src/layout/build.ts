/** From the document to boxes: values worked out, words prepared, pictures looked up. */

import { colourValue, theme } from '../document/theme.ts';
import { type Asset, type Control, inForce } from '../document/types.ts';
import type { Circumstances } from '../document/values.ts';
import { type Values, valuesOf } from '../document/values.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Look, Making } from '../kinds/kind.ts';
import { setText, type TextStyle } from '../text/paragraph.ts';
import type { Shaper } from '../text/shaper.ts';
import { type Box, type BoxStyle, makeBox, noSides } from './box.ts';

/** What boxes depend on besides the controls themselves. */
export interface Surroundings extends Circumstances {
  readonly shaper: Shaper;
  readonly assets: readonly Asset[];
  readonly textScale: number;
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
    const scaled = (style: TextStyle) => ({ ...style, size: style.size * textScale });
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
      picture: (name) => around.assets.find((asset) => asset.name === name) ?? theme.missingPicture,
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
      style: { ...styleOf(values), ...withoutOwn(inside.style ?? {}, values) },
      content: inside.content,
      children,
      look: scaleLook({ ...boxLookOf(values), ...inside.look }, this.around.textScale),
    });
  }
}

function styleOf(values: Values): BoxStyle {
  return {
    width: values.size('width'),
    height: values.size('height'),
    minWidth: values.limit('min-width'),
    maxWidth: values.limit('max-width'),
    minHeight: values.limit('min-height'),
    maxHeight: values.limit('max-height'),
    margin: values.sides('margin') ?? noSides,
    padding: values.sides('padding') ?? noSides,
    border: values.sides('border-width') ?? noSides,
    alignSelf: values.align('align-self'),
  };
}

/** Leaves out of a kind's style what the control says itself. */
function withoutOwn(style: Partial<BoxStyle>, values: Values): Partial<BoxStyle> {
  const own = { minWidth: 'min-width', minHeight: 'min-height' } as const;
  return Object.fromEntries(
    Object.entries(style).filter(([key]) => !values.has(own[key as keyof typeof own] ?? '')),
  );
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
  return look.text ? { ...look, text: { ...look.text, size: look.text.size * scale } } : look;
}

/** Whether a control is hidden by its own value (expressions aside). */
export const isHidden = (control: Control): boolean => inForce(control.props.hidden) === 'true';
