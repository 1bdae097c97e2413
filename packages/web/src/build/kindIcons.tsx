/** A quiet glyph for each kind. */
import {
  CheckSquare,
  Columns2,
  Group,
  Image,
  Layers,
  LayoutGrid,
  type LucideIcon,
  Minus,
  MoveHorizontal,
  PanelLeft,
  PanelTop,
  PanelTopDashed,
  Pin,
  RectangleEllipsis,
  Repeat,
  Rows2,
  Rows4,
  SquareMousePointer,
  Type,
} from 'lucide-react';

const icons: Readonly<Record<string, LucideIcon>> = {
  screen: PanelTop,
  row: Columns2,
  column: Rows2,
  grid: LayoutGrid,
  layers: Layers,
  pinboard: Pin,
  scroll: Rows4,
  split: PanelLeft,
  fieldset: Group,
  repeat: Repeat,
  bar: PanelTopDashed,
  spacer: MoveHorizontal,
  divider: Minus,
  text: Type,
  image: Image,
  textField: RectangleEllipsis,
  checkbox: CheckSquare,
  button: SquareMousePointer,
};

export function KindIcon({ kind, size = 14 }: { kind: string; size?: number }) {
  const Icon = icons[kind] ?? PanelTop;
  return <Icon size={size} aria-hidden className="shrink-0 text-quiet" />;
}
