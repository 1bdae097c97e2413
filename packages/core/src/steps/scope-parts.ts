/** What values are set for: a band or an orientation, a state, or both: `lap`, `hover`, `lap.hover`. */
import { orientations } from '../cascade/attributes.ts';
import type { Project } from '../document/types.ts';

export interface ScopeParts {
  /** A band or an orientation; empty: all widths. */
  readonly width: string;
  /** Empty: whatever state there is. */
  readonly state: string;
}

export function scopeParts({ bands }: Pick<Project, 'bands'>, scope: string): ScopeParts {
  const [first = '', second = ''] = scope.split('.');
  const isWidth = orientations.some((each) => each === first) || bands.some(({ name }) => name === first);
  return isWidth ? { width: first, state: second } : { width: '', state: first };
}

export const scopeOf = ({ width, state }: ScopeParts): string => [width, state].filter(Boolean).join('.');

/** The prefixes that hold where the widths of a scope do, outside of its state; see `prefixesInForce`. */
export function prefixesOfScope({ bands }: Pick<Project, 'bands'>, { width }: ScopeParts): string[] {
  const band = bands.find(({ name }) => name === width);
  const reached = band
    ? bands.filter(({ from }) => from <= band.from).toSorted((a, b) => a.from - b.from)
    : [];
  const turned = orientations.some((each) => each === width) ? [`${width}.`] : [];
  return ['', ...reached.map(({ name }) => `${name}.`), ...turned];
}
