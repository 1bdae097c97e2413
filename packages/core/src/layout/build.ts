/** From the document to boxes: values worked out, words prepared, pictures looked up. */

import { fillsCell, mayBeFilled, mayFillCell } from '../cascade/across-cell.ts';
import { prefixesInForce } from '../cascade/cascade.ts';
import { ownStatesNow } from '../cascade/own-states.ts';
import { repetitionOf } from '../cascade/repetition.ts';
import type { HeldStates } from '../cascade/states-now.ts';
import { isSteady } from '../cascade/steadiness.ts';
import { type Circumstances, type Values, valuesOf } from '../cascade/values.ts';
import { hingeSide } from '../css/hinge-side.ts';
import { sizesWithRatio } from '../css/ratio.ts';
import { type Asset, type Control, inForce } from '../document/types.ts';
import type { Scope } from '../expression/evaluate.ts';
import { itemScope } from '../expression/item-scope.ts';
import { iconShapes } from '../icons/icon-set.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Arrangement, Kind, Look, Making } from '../kinds/kind.ts';
import { arrangementOf, mannerOf } from '../kinds/manner.ts';
import {
  alignSelf,
  aspect,
  borderWidth,
  bottom,
  centerX,
  centerY,
  col,
  colSpan,
  height,
  hidden,
  justifySelf,
  left,
  margin,
  maxHeight,
  maxWidth,
  minHeight,
  minWidth,
  order,
  padding,
  right,
  row,
  rowSpan,
  top,
  width,
} from '../kinds/properties.ts';
import { plainWords } from '../kinds/words.ts';
import { setText, type TextStyle } from '../text/paragraph.ts';
import type { Shaper } from '../text/shaper.ts';
import { keptUnit, scaledSize } from '../text/units.ts';
import { noSides, type Pin, type Sides, type Size } from '../values/css.ts';
import { firstColour } from '../values/fills.ts';
import { colourIn } from '../values/theme.ts';
import {
  type Box,
  type BoxStyle,
  type Content,
  type GridArea,
  type HingeInside,
  noStyle,
  type Pins,
} from './box.ts';
import { acrossCell } from './grid/across-cell.ts';
import {
  letteringOf,
  lookOf,
  partLooksOf,
  partTakesFocus,
  withFocusRing,
  withLettering,
  withPartLooks,
} from './look.ts';
import { makeBox } from './make-box.ts';
import { plainMax } from './plain-limits.ts';

/** What boxes depend on besides the controls themselves. */
export interface Surroundings extends Circumstances {
  readonly shaper: Shaper;
  readonly assets: readonly Asset[];
  readonly textScale: number;
  readonly rightToLeft: boolean;
  readonly hinge?: HingeInside | undefined;
  readonly held?: HeldStates | undefined;
}

/** Where a box is being made: what it stands in, and which item of which repeats it shows. */
interface Spot {
  readonly parent: Kind | undefined;
  /** How the parent arranges what is in it. */
  readonly arrangement: Arrangement | undefined;
  readonly scope: Scope;
  readonly items: readonly number[];
  /** Own states that hold there. */
  readonly states: readonly string[];
  /** Whether it is a part of something that is kept as a whole, whichever bands are in force. */
  readonly steady: boolean;
}

const noItems: readonly number[] = [];
const noStates: readonly string[] = [];

const isSameList = (one: readonly string[], other: readonly string[]): boolean =>
  one === other || (one.length === other.length && one.every((each, index) => each === other[index]));

/** Boxes by control, with the container they were made for; a control that moved to another kind of container is made anew. */
type MadeBox = Pick<Spot, 'parent' | 'arrangement' | 'states'> & { readonly box: Box | undefined };
export type MadeBoxes = WeakMap<Control, MadeBox>;

/** What a control's attributes say, where something is in it: a change inside leaves them as they are. */
interface Read {
  readonly kind: Kind;
  readonly arrangement: Arrangement | undefined;
  readonly around: readonly string[];
  readonly states: readonly string[];
  readonly values: Values;
  readonly style: BoxStyle;
}

/** Makes boxes; keeps those of controls that did not change, so that their layout is kept too. */
export class Builder {
  private readonly made: MadeBoxes = new WeakMap();
  /** By the attributes themselves, which versions of a control share. */
  private readonly read = new WeakMap<Control['props'], Read>();
  private readonly make: Making;
  private screen: Control | undefined;

  private readonly around: Surroundings;

  /** @param steady where boxes are kept that nothing changes but what all who share it have in common. */
  constructor(
    surroundings: Surroundings,
    private readonly steady?: MadeBoxes,
  ) {
    const around = { ...surroundings, prefixes: prefixesInForce(surroundings) };
    this.around = around;
    const { shaper, textScale, rightToLeft, theme } = around;
    const scaled = (style: TextStyle) => ({ ...style, size: scaledSize(style.size, textScale) });
    const content = (text: string, style: TextStyle, most?: number) =>
      ({
        type: 'text',
        paragraphs: setText(shaper, style.uppercase ? text.toUpperCase() : text, scaled(style), rightToLeft),
        most,
      }) as const;
    const part = (content: Content, children: readonly Box[], look: Look, place: Partial<BoxStyle> = {}) =>
      makeBox({
        control: undefined,
        style: {
          ...noStyle,
          ...place,
          width: keptSize(place.width),
          height: keptSize(place.height),
          margin: keptSides(place.margin),
          padding: keptSides(place.padding),
        },
        content,
        children: inOrder(children),
        look: scaleLook(look, textScale),
        items: noItems,
      });
    this.make = {
      theme,
      colour: (text) => colourIn(theme, firstColour(text)),
      plain: (rest) => plainWords(theme, rest),
      scale: textScale,
      rightToLeft,
      content,
      words: (text, style, look, place) => part(content(text, style), [], look, place),
      blank: ({ width, height, ...rest }, look, place) =>
        part({ type: 'blank', width: keptUnit(width), height: keptUnit(height), ...rest }, [], look, place),
      group: (inside, children, place, look = {}) => part(inside, children, look, place),
      centredBaseline(style, height) {
        const { ascent, descent } = shaper.lineMetrics(style, scaledSize(style.size, textScale));
        return (height - ascent - descent) / 2 + ascent;
      },
      icon: iconShapes,
      here: () => this.screen?.name,
      picture(name) {
        const { width, height } = around.assets.find((asset) => asset.name === name) ?? {
          width: theme.missingPictureWidth,
          height: theme.missingPictureHeight,
        };
        return { width, height };
      },
    };
  }

  /** The box of a screen; undefined where it is hidden. */
  box(screen: Control): Box | undefined {
    this.screen = screen;
    return this.at(screen, {
      parent: undefined,
      arrangement: undefined,
      scope: this.around.scope,
      items: noItems,
      states: noStates,
      steady: false,
    });
  }

  private at(control: Control, spot: Spot): Box | undefined {
    // What a repeat shows depends on the item too; the repeat itself is kept as a whole.
    if (spot.items.length > 0) return this.anew(control, spot);
    // What is beside a fold depends on all that it stands in.
    if (this.around.hinge && asksForHinge(control)) return this.anew(control, spot);
    const isHere = (known: MadeBox | undefined): known is MadeBox =>
      known !== undefined &&
      known.parent === spot.parent &&
      known.arrangement === spot.arrangement &&
      isSameList(known.states, spot.states);
    const known = this.made.get(control);
    if (isHere(known)) return known.box;
    const shared = this.steady && !spot.steady && this.isSteady(control, spot) ? this.steady : undefined;
    const there = shared?.get(control);
    const made = isHere(there)
      ? there
      : {
          parent: spot.parent,
          arrangement: spot.arrangement,
          states: spot.states,
          box: this.anew(control, shared ? { ...spot, steady: true } : spot),
        };
    this.made.set(control, made);
    shared?.set(control, made);
    return made.box;
  }

  private isSteady(control: Control, { states }: Spot): boolean {
    const { held, theme } = this.around;
    return states.length === 0 && !held && isSteady(control, theme.styles);
  }

  private anew(control: Control, spot: Spot): Box | undefined {
    const kind = kindOf(control);
    const { values, style, states } = this.reading(control, kind, spot);
    if (values.flag(hidden)) return undefined;
    const children = this.childrenOf(control, kind, values, { ...spot, states });
    const inside = kind.inside(values, this.makingOf(control), children, control.children);
    const shown =
      inside.parts ??
      (children.includes(undefined) ? children.flatMap((child) => child ?? []) : (children as Box[]));
    const { content } = inside;
    const look = lookOf(values, this.around.theme, inside.look);
    const lettering = letteringOf(values, this.around.theme);
    const partLook = partLooksOf(kind, values, this.around.theme);
    const looked = partLook ? shown.map((child) => withPartLooks(child, partLook)) : shown;
    const lettered = lettering ? looked.map((child) => withLettering(child, lettering)) : looked;
    const ring = values.isIn('focus') ? this.make.colour('accent') : undefined;
    const ringed = ring === undefined ? lettered : lettered.map((child) => withFocusRing(child, ring));
    const focusRing = ring !== undefined && !partTakesFocus(lettered) ? { focusRing: ring } : undefined;
    const parts =
      content.type === 'grid' &&
      shown.some(({ style: { fillsCell } }) => fillsCell !== undefined) &&
      mayBeFilled(control)
        ? ringed.map((child) => acrossCell(child, content))
        : ringed;
    return makeBox({
      control: control.id,
      style: inside.style ? { ...style, ...inside.style } : style,
      content,
      children: inOrder(parts),
      look: scaleLook(
        { ...look, ...(look.text ? lettering : undefined), ...focusRing },
        this.around.textScale,
      ),
      items: spot.items,
    });
  }

  private reading(control: Control, kind: Kind, spot: Spot): Read {
    const { arrangement, scope, items } = spot;
    const isKept = control.children.length > 0 && items.length === 0;
    const known = isKept ? this.read.get(control.props) : undefined;
    if (
      known &&
      known.kind === kind &&
      known.arrangement === arrangement &&
      isSameList(known.around, spot.states)
    )
      return known;
    const { held } = this.around;
    const around = scope === this.around.scope ? this.around : { ...this.around, scope };
    const states = ownStatesNow(control, kind, around, spot.states, held);
    const values = valuesOf(control, kind, { ...around, states: { own: states, held } });
    const style = styleOf(values, arrangement);
    const read = {
      kind,
      arrangement,
      around: spot.states,
      states,
      values,
      style: kind.fillsCells && mayFillCell(control) ? { ...style, fillsCell: fillingOf(values) } : style,
    };
    if (isKept) this.read.set(control.props, read);
    return read;
  }

  /** What a control's inside is made with: on a screen that folds, a split knows where. */
  private makingOf(control: Control): Making {
    const { hinge, prefixes, theme } = this.around;
    if (!hinge || !this.screen || !mannerOf(kindOf(control)).panes) return this.make;
    const { side, inset, pane } = hingeSide(this.screen, control, { prefixes: prefixes ?? [], theme });
    const room = side === 'start' ? hinge.start : hinge.room - hinge.start - hinge.width;
    return { ...this.make, paneAtHinge: { pane, width: keptUnit(room - inset), gap: keptUnit(hinge.width) } };
  }

  /** The boxes of a container's children; where they are repeated, for each item in turn. */
  private childrenOf(control: Control, kind: Kind, values: Values, spot: Spot): (Box | undefined)[] {
    if (!kind.container) return [];
    const arrangement = arrangementOf(mannerOf(kind), values);
    const below = { ...spot, parent: kind, arrangement };
    const repetition = repetitionOf(control);
    if (!repetition) return control.children.map((child) => this.at(child, below));
    const name = repetition.as;
    return (kind.items?.(values) ?? []).flatMap((item, index) => {
      const scope = itemScope(spot.scope, name, item, index);
      const items = [...spot.items, index];
      return control.children.map((child) => this.at(child, { ...below, scope, items }));
    });
  }
}

const hinged = new WeakMap<Control, boolean>();

/** Whether a control, or something in it, keeps a gap where the screen folds. */
function asksForHinge(control: Control): boolean {
  const known = hinged.get(control);
  if (known !== undefined) return known;
  const { panes } = mannerOf(kindOf(control));
  const asks =
    (panes !== undefined && inForce(control.props[panes.hinge.name]) === 'true') ||
    control.children.some(asksForHinge);
  hinged.set(control, asks);
  return asks;
}

/** Children by their `order`, those of the same in document order (CSS Display 3 §3). */
function inOrder(children: readonly Box[]): readonly Box[] {
  return children.some(({ style }) => style.order !== 0)
    ? children.toSorted((a, b) => a.style.order - b.style.order)
    : children;
}

const keptSides = (sides: Sides | undefined, keep = keptUnit): Sides =>
  sides
    ? { top: keep(sides.top), end: keep(sides.end), bottom: keep(sides.bottom), start: keep(sides.start) }
    : noSides;
/** Border widths are whole px, never less than one unless none (CSS Backgrounds 3 §3.3, "snap as a border width"). */
const keptBorder = (px: number): number => (px > 0 ? plainMax(1, Math.floor(px)) : 0);
const keptSize = <T extends Size>(size: T): T => (typeof size === 'number' ? (keptUnit(size) as T) : size);

/** In which cells a picture fills its cell by a percentage. */
const fillingOf = (values: Values): BoxStyle['fillsCell'] =>
  fillsCell(values, false) ? 'always' : fillsCell(values, true) ? 'where it stretches' : undefined;

function styleOf(values: Values, arrangement: Arrangement | undefined): BoxStyle {
  const ratio = values.get(aspect);
  const sizes = sizesWithRatio(values.get(width), values.get(height), ratio, arrangement);
  return {
    width: keptSize(sizes.width),
    height: keptSize(sizes.height),
    minWidth: keptSize(values.get(minWidth)),
    maxWidth: keptSize(values.get(maxWidth)),
    minHeight: keptSize(values.get(minHeight)),
    maxHeight: keptSize(values.get(maxHeight)),
    aspect: ratio,
    margin: keptSides(values.get(margin)),
    padding: keptSides(values.get(padding)),
    border: keptSides(values.get(borderWidth), keptBorder),
    alignSelf: values.get(alignSelf),
    justifySelf: values.get(justifySelf),
    pins: arrangement === 'pins' ? pinsOf(values) : undefined,
    area: areaOf(values),
    order: values.get(order) ?? 0,
    firm: false,
    fillsPins: false,
    fillsCell: undefined,
    edge: undefined,
  };
}

const keptPin = (pin: Pin): Pin => (typeof pin === 'number' ? keptUnit(pin) : pin);
const keptOffset = (offset: number | undefined) => (offset === undefined ? undefined : keptUnit(offset));

const pinsOf = (values: Values): Pins => ({
  left: keptPin(values.get(left)),
  right: keptPin(values.get(right)),
  top: keptPin(values.get(top)),
  bottom: keptPin(values.get(bottom)),
  centerX: keptOffset(values.get(centerX)),
  centerY: keptOffset(values.get(centerY)),
});

function areaOf(values: Values): GridArea | undefined {
  const column = values.get(col);
  const line = values.get(row);
  const columnSpan = values.get(colSpan) ?? 1;
  const overRows = values.get(rowSpan) ?? 1;
  return column === undefined && line === undefined && columnSpan === 1 && overRows === 1
    ? undefined
    : { column, row: line, columnSpan, rowSpan: overRows };
}

/** Looks give text sizes before the reader's text scale; painters want them after it. */
function scaleLook(look: Look, scale: number): Look {
  return look.text ? { ...look, text: { ...look.text, size: scaledSize(look.text.size, scale) } } : look;
}

/** Whether a control is hidden by its own value (expressions aside). */
export const isHidden = (control: Control): boolean => inForce(control.props.hidden) === 'true';
