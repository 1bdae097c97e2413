/** Which card the arrow keys lead to. */
import type { MapModel } from './mapModel.ts';

/**
 * The nearest card in a direction: what lies straight ahead counts before what lies aside.
 *
 * @param direction as x and y, -1 to 1. @returns its name; undefined where there is none.
 */
export function cardBeside(
  { cards, spots }: Pick<MapModel, 'cards' | 'spots'>,
  name: string,
  [dx, dy]: readonly [number, number],
): string | undefined {
  const middles = cards.map((card) => {
    const { x, y } = spots.get(card.name) ?? { x: 0, y: 0 };
    return { name: card.name, x: x + card.width / 2, y: y + card.height / 2 };
  });
  const from = middles.find((each) => each.name === name);
  if (!from) return undefined;
  const ahead = middles.flatMap((each) => {
    const along = (each.x - from.x) * dx + (each.y - from.y) * dy;
    const aside = Math.abs((each.x - from.x) * dy) + Math.abs((each.y - from.y) * dx);
    return along > 0 && along >= aside / 2 ? [{ name: each.name, far: along + 2 * aside }] : [];
  });
  return ahead.toSorted((a, b) => a.far - b.far)[0]?.name;
}
