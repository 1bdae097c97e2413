/** A size of one's own, as its form says it. */
import { greatestSize, leastSize, type ScreenSize } from '../sizes.ts';

/**
 * @param sizes those that there are: each has another label.
 * @returns what is wrong, where something is.
 */
export function ownSizeOf(data: FormData, sizes: readonly ScreenSize[]): ScreenSize | string {
  const label = String(data.get('label')).trim();
  const number = (name: string) => Number(data.get(name));
  const within = (value: number) => value >= leastSize && value <= greatestSize;
  const insets = {
    top: number('top'),
    right: number('right'),
    bottom: number('bottom'),
    left: number('left'),
  };
  if (label === '') return 'It needs a name.';
  if (sizes.some((size) => size.label === label)) return `There is a size called ${label}.`;
  if (!within(number('width')) || !within(number('height')))
    return `Width and height go from ${leastSize} to ${greatestSize} px.`;
  if (!(number('ratio') >= 0.5 && number('ratio') <= 8)) return 'Device px for each px go from 0.5 to 8.';
  if (Object.values(insets).some((inset) => !(inset >= 0 && inset <= 400)))
    return 'What is kept free goes from 0 to 400 px.';
  const folds = String(data.get('hinge')).trim() !== '';
  if (folds && !(number('hinge') > 0 && number('hinge') + number('hingeWidth') < number('width')))
    return 'It folds inside its width.';
  return {
    label,
    width: Math.round(number('width')),
    height: Math.round(number('height')),
    ratio: number('ratio'),
    touch: data.get('touch') === 'on',
    ...(Object.values(insets).some((inset) => inset > 0) ? { safe: insets } : {}),
    ...(folds ? { hinge: { left: number('hinge'), width: number('hingeWidth') } } : {}),
  };
}
