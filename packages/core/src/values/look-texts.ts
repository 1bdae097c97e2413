/** What is wrong with the text of a look. A page leaves it behind: what reaches it has been held against this. */
import { fillColours, fillLayers, isColour } from './fills.ts';
import { shadowsIn } from './shadows.ts';

/** Why a text is no fill; undefined where it is one. */
export const backgroundProblem = (text: string): 'no fill' | undefined =>
  fillLayers(text) === undefined ? 'no fill' : undefined;

/** Why a text is no list of shadows; undefined where it is one. @param ofWords neither spread nor inset. */
export function shadowProblem(text: string, ofWords = false): 'no shadow' | undefined {
  const shadows = shadowsIn(text);
  const isGood = shadows && !(ofWords && shadows.some(({ spread, inset }) => spread !== 0 || inset));
  return isGood ? undefined : 'no shadow';
}

const isName = (text: string): boolean =>
  isColour(text) && /^[A-Za-z_][\w.-]*$/.test(text) && text !== 'none';

/** The names of colour tokens in a fill or in shadows. */
export const colourNames = (text: string): string[] =>
  [
    ...fillColours(fillLayers(text) ?? []),
    ...(fillLayers(text) ? [] : (shadowsIn(text) ?? []).map(({ colour }) => colour)),
  ].filter(isName);
