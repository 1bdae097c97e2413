/** One size of a screen for each band of a project. */
import type { Project } from '@hovrin/core';
import { type ScreenSize, usualSizes } from '../sizes.ts';
import { bandAt } from '../workbench/scope.ts';

/** A usual size for each band where there is one, else one where the band begins; the narrowest first. */
export function bandSizes(project: Project): ScreenSize[] {
  return project.bands
    .toSorted((a, b) => a.from - b.from)
    .map((band) => {
      const usual = usualSizes.find(({ width }) => bandAt(project, width)?.name === band.name);
      const width = Math.max(320, Math.round(band.from * 1.15));
      return { ...(usual ?? { width, height: Math.round(width / 1.6) }), label: band.label };
    });
}
