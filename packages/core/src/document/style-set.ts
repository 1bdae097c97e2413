/** Named looks: values that many controls have in common, said once. */
import { type Control, inForce, type PropertyValue } from './types.ts';

/** Values for controls that name it, or for all controls of a kind. */
export interface Style {
  /** What controls call it; absent: it holds for all controls of a kind. */
  readonly name?: string;
  /** The kind that it fits; absent: all, of whose values each kind takes those that it has. */
  readonly for?: string;
  /** By attribute name, conditions in front (`lap.gap`, `hover.background`). */
  readonly props: Readonly<Record<string, PropertyValue>>;
  /** Comments of the source in front of it. */
  readonly comments?: readonly string[];
}

/** The styles of a project, found by what they are for. */
export interface StyleSet {
  readonly all: readonly Style[];
  /** Those with a name; of several that a control names, the one that is listed later wins. */
  readonly named: ReadonlyMap<string, Style>;
  /** Those of kinds, by kind. */
  readonly ofKinds: ReadonlyMap<string, Style>;
}

export const noStyles: StyleSet = { all: [], named: new Map(), ofKinds: new Map() };

export const styleSetOf = (styles: readonly Style[]): StyleSet => ({
  all: styles,
  named: new Map(styles.flatMap((style) => (style.name === undefined ? [] : [[style.name, style]]))),
  ofKinds: new Map(
    styles.flatMap((style) =>
      style.name === undefined && style.for !== undefined ? [[style.for, style]] : [],
    ),
  ),
});

/** What a style is told apart by: its name, or the kind that it is for, with a colon in front. */
export const styleKey = ({ name, for: kind }: Style): string => name ?? `:${kind}`;

/** The names in the text of a control's `style`. */
export const styleNames = (text: string): string[] => text.split(/\s+/).filter(Boolean);

/** The styles that a text names and that fit a kind, the strongest first. */
export function stylesNamed(set: StyleSet, text: string, kind: string): Style[] {
  const wanted = new Set(styleNames(text));
  return set.all
    .filter(({ name, for: only }) => name !== undefined && wanted.has(name) && (only ?? kind) === kind)
    .toReversed();
}

/** Whether what styles a control has follows no expression. */
export const hasPlainStyle = ({ props }: Pick<Control, 'props'>): boolean => !hasBrace(ownStyleText(props));
const hasBrace = (text: string): boolean => text.includes('{');

/** All styles that a control has or may come to have: where an expression says which, those that it may name. */
export function stylesOver(control: Pick<Control, 'kind' | 'props'>, set: StyleSet): readonly Style[] {
  if (set.all.length === 0) return noStyles.all;
  const text = ownStyleText(control.props);
  const ofKind = set.ofKinds.get(control.kind);
  const named = hasBrace(text)
    ? set.all
        .filter(({ name, for: only }) => name !== undefined && (only ?? control.kind) === control.kind)
        .toReversed()
    : stylesNamed(set, text, control.kind);
  return ofKind ? [...named, ofKind] : named;
}

/** What a control's own `style` says. */
export const ownStyleText = (props: Readonly<Record<string, PropertyValue>>): string =>
  inForce(props.style) ?? '';
