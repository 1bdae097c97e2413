/** Fills and shadows as attributes have them: what `fillLayers` and `shadowsIn` have read, written again. */
import type { FillLayer, Gradient, Place, Stop } from './fills.ts';
import type { Shadow } from './shadows.ts';

const number = (value: number): string => String(Number(value.toFixed(2)));

const placeText = ({ fraction, px }: Place): string => (px !== 0 ? number(px) : `${number(fraction * 100)}%`);

const stopText = ({ colour, places }: Stop): string =>
  [
    ...(colour === undefined ? [] : [colour]),
    ...places.map((place) => ('degrees' in place ? `${number(place.degrees)}deg` : placeText(place))),
  ].join(' ');

const half = ({ fraction, px }: Place): boolean => fraction === 0.5 && px === 0;
const pointText = (at: readonly [Place, Place]): string[] =>
  at.every(half) ? [] : ['at', ...at.map(placeText)];

/** What stands in front of the stops; empty where it is what holds anyway. */
function headText(gradient: Gradient): string {
  switch (gradient.form) {
    case 'linear': {
      const { towards } = gradient;
      if ('degrees' in towards) return towards.degrees === 180 ? '' : `${number(towards.degrees)}deg`;
      const [x, y] = towards.side;
      const words = [y < 0 ? 'top' : y > 0 ? 'bottom' : '', x < 0 ? 'left' : x > 0 ? 'right' : ''];
      return `to ${words.filter(Boolean).join(' ')}`;
    }
    case 'radial': {
      const { circle, size, at } = gradient;
      const extent =
        typeof size === 'string' ? (size === 'farthest-corner' ? [] : [size]) : size.map(placeText);
      return [...(circle ? ['circle'] : []), ...extent, ...pointText(at)].join(' ');
    }
    case 'conic':
      return [
        ...(gradient.from === 0 ? [] : ['from', `${number(gradient.from)}deg`]),
        ...pointText(gradient.at),
      ].join(' ');
  }
}

export function gradientText(gradient: Gradient): string {
  const head = headText(gradient);
  const parts = [...(head === '' ? [] : [head]), ...gradient.stops.map(stopText)];
  return `${gradient.repeats ? 'repeating-' : ''}${gradient.form}-gradient(${parts.join(', ')})`;
}

export const fillText = (layers: readonly FillLayer[]): string =>
  layers.length === 0
    ? 'none'
    : layers
        .map((layer) => {
          if ('colour' in layer) return layer.colour;
          if ('gradient' in layer) return gradientText(layer.gradient);
          return `picture(${layer.picture})${layer.fit === 'cover' ? '' : ` ${layer.fit}`}`;
        })
        .join(', ');

export const shadowText = (shadows: readonly Shadow[]): string =>
  shadows.length === 0
    ? 'none'
    : shadows
        .map(({ x, y, blur, spread, colour, inset }) =>
          [...(inset ? ['inset'] : []), number(x), number(y), number(blur), number(spread), colour].join(' '),
        )
        .join(', ');
