/** The colours that really meet on the screens of a project: what is seen on what, in every mode, and whether it stands out. */
import { themeOf } from '../cascade/project-theme.ts';
import type { Mode } from '../document/token.ts';
import type { Project } from '../document/types.ts';
import type { ScreenView } from '../layout/screen-layout.ts';
import { expandedProject } from '../reuse/expand.ts';
import { reaching } from '../tokens/srgb.ts';
import { usualCheck } from './check.ts';
import { seenOnGrounds } from './colours.ts';
import type { OnGround } from './contrast.ts';

/** A colour on another, wherever they meet. */
export interface ColourPair
  extends Pick<OnGround, 'what' | 'ink' | 'ground' | 'ratio' | 'needed' | 'wanted'> {
  readonly mode: Mode;
  /** Names of colour tokens that are the one or the other in this mode. */
  readonly inkTokens: readonly string[];
  readonly groundTokens: readonly string[];
  /** Ids of the controls, each once, in the order of the screens. */
  readonly controls: readonly string[];
  /** The colour nearest to the ink that stands out enough; undefined where it does, or none would. */
  readonly better: string | undefined;
}

interface Gathered {
  readonly seen: OnGround & { readonly mode: Mode };
  readonly controls: Set<string>;
}

/**
 * All pairs of a project, those first that stand out least against what is asked for. After each screen it can be left off.
 *
 * @param view lays the screens out.
 */
export function* colourPairs(view: ScreenView, source: Project): Generator<undefined, ColourPair[]> {
  const project = expandedProject(source);
  const found = new Map<string, Gathered>();
  for (const screen of project.screens) {
    for (const seen of seenOnGrounds(view, project, screen, usualCheck)) {
      const { mode, what, ink, ground, needed, wanted } = seen;
      const key = [mode, what, ink, ground, needed, wanted].join(' ');
      const known = found.get(key);
      if (known) known.controls.add(seen.control);
      else found.set(key, { seen, controls: new Set([seen.control]) });
    }
    yield undefined;
  }
  return [...found.values()]
    .map((gathered) => pairOf(project, gathered))
    .toSorted((a, b) => a.ratio - a.wanted - (b.ratio - b.wanted));
}

function pairOf(project: Project, { seen, controls }: Gathered): ColourPair {
  const { what, ink, ground, ratio, needed, wanted, mode } = seen;
  const { colours } = themeOf(project, mode);
  const named = (colour: string) => Object.keys(colours).filter((name) => colours[name] === colour);
  return {
    ...{ what, ink, ground, ratio, needed, wanted, mode },
    inkTokens: named(ink),
    groundTokens: named(ground),
    controls: [...controls],
    better: ratio < wanted - 0.005 && ratio > 1 ? reaching(ink, ground, wanted) : undefined,
  };
}
