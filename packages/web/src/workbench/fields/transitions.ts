/** Transitions taken apart for their fields, and put together again. */

/** How one property goes over into another value. */
export interface Going {
  /** A property, or `all`. */
  readonly property: string;
  /** As CSS has them: `150ms`, `ease-out`, `0ms`; a duration or curve may be a token's name. */
  readonly duration: string;
  readonly curve: string;
  readonly delay: string;
}

/** At commas that stand outside of brackets. */
const layers = (text: string): string[] =>
  text
    .split(/,(?![^(]*\))/)
    .map((part) => part.trim())
    .filter(Boolean);

const words = (layer: string): string[] => layer.match(/[\w.-]+(?:\([^)]*\))?/g) ?? [];
const isTime = (word: string): boolean => /^\d*\.?\d+m?s$/.test(word);
const isCurve = (word: string): boolean =>
  /^(?:linear|ease(?:-in|-out|-in-out)?|step-(?:start|end)|(?:cubic-bezier|steps)\(.*\))$/.test(word);

/**
 * The parts of a transition's text; empty for none.
 *
 * @param isCurveName whether a word is the name of a token that is a curve.
 */
export function goingsIn(text: string, isCurveName: (word: string) => boolean = () => false): Going[] {
  if (text === 'none') return [];
  return layers(text).map((layer) => {
    const [property = 'all', ...rest] = words(layer);
    const curve = rest.find((word) => isCurve(word) || isCurveName(word)) ?? 'ease';
    const [duration = '0ms', delay = '0ms'] = rest.filter(
      (word) => isTime(word) || (!isCurve(word) && !isCurveName(word)),
    );
    return { property, duration, curve, delay };
  });
}

export const goingsText = (goings: readonly Going[]): string =>
  goings.length === 0
    ? 'none'
    : goings
        .map(({ property, duration, curve, delay }) =>
          [
            property,
            duration,
            ...(curve === 'ease' ? [] : [curve]),
            ...(/^0m?s$/.test(delay) ? [] : [delay]),
          ].join(' '),
        )
        .join(', ');
