/** Puts the engine's reason for a place into arithmetic. */
import type { PlaceReason } from '../layout/reason.ts';
import type { Term, Working } from './explanation.ts';
import type { ExplainedScreen, Found } from './find.ts';
import { Workings } from './size.ts';

const partWords: Readonly<Record<string, string>> = {
  frame: 'padding and border',
  room: 'room in front',
  siblings: 'what stands in front',
  lines: 'lines in front',
  tracks: 'tracks in front',
  margin: 'margin',
  border: 'border',
  pin: 'pin',
};

/** The arithmetic of a place on the screen. */
export function placeWorkings(on: ExplainedScreen, found: Found, axis: 'x' | 'y'): Working[] {
  const workings = new Workings();
  const reason: PlaceReason | undefined = found.reasons?.[axis];
  const parent = found.parent;
  if (!parent) {
    workings.add('the screen begins at', 'given', [{ what: axis, value: 0 }]);
    return workings.list;
  }
  const control = on.controlOf(parent);
  const mirrored = axis === 'x' && on.view.rightToLeft === true;
  const terms: Term[] = [
    { what: `${on.name(control)} begins at`, value: parent[axis], control },
    ...(reason
      ? reason.parts
          .filter(({ value }) => value !== 0)
          .map(({ what, value }) => ({ what: partWords[what] ?? what, value }))
      : [{ what: 'padding and border', value: found[axis] - parent[axis] }]),
  ];
  const start = workings.add(mirrored ? 'from the right edge' : 'from the edge', 'sum', terms);
  if (mirrored)
    workings.add('from the left edge', 'sum', [
      { what: 'the window is', value: on.view.width },
      { ...start, value: -start.value },
      { what: 'its width', value: -found.laid.width },
    ]);
  return workings.list;
}
