/** A quiet glyph for each kind. */
import {
  CheckSquare,
  Columns2,
  Image,
  type LucideIcon,
  Minus,
  MoveHorizontal,
  PanelTop,
  RectangleEllipsis,
  Rows2,
  SquareMousePointer,
  Type,
} from 'lucide-react';

const icons: Readonly<Record<string, LucideIcon>> = {
  screen: PanelTop,
  row: Columns2,
  column: Rows2,
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
