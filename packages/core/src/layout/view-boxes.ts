/**
 * Boxes of screens, kept by everything they depend on besides the controls: which changes are in force, text
 * sizes, direction, the fold. Views in which all that is the same share their boxes, and what is known about them.
 */

import { prefixesInForce } from '../cascade/cascade.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { prefixesOf, viewPrefix } from '../cascade/steadiness.ts';
import type { Control, Project } from '../document/types.ts';
import { sharingBudget } from '../expression/budget.ts';
import { initialScope } from '../expression/initial-scope.ts';
import { mayReadView } from '../expression/view-names.ts';
import { movedScreen } from '../motion/moved.ts';
import { expandedOn } from '../reuse/expand.ts';
import type { Shaper } from '../text/shaper.ts';
import { clampedSizesOf, textSizeAt } from '../values/text-size.ts';
import { areAlikeButColours, withHues } from '../values/theme.ts';
import type { Box, HingeInside } from './box.ts';
import { Builder, type MadeBoxes } from './build.ts';
import type { View } from './screen-layout.ts';

/** The two sides of a hinge as a screen sees them: from its own start side, and how much room it has. */
function hingeIn({ width, rightToLeft, safe, hinge }: View): HingeInside | undefined {
  if (!hinge) return undefined;
  const { left = 0, right = 0 } = safe ?? {};
  const before = rightToLeft ? width - right - hinge.left - hinge.width : hinge.left - left;
  const room = width - left - right;
  return before > 0 && before + hinge.width < room ? { start: before, width: hinge.width, room } : undefined;
}

/**
 * Makes the boxes of a project's screens for a view; they hold for all views with the same bands in force.
 *
 * @param steady boxes that hold in other bands, too, at the same text scale and in the same direction.
 */
export function boxesFor(shaper: Shaper, project: Project, view: View, steady?: MadeBoxes): Builder {
  const around = {
    shaper,
    theme: view.hues ? withHues(themeOf(project, view.mode)) : themeOf(project, view.mode),
    held: view.states,
    assets: project.assets,
    textScale: view.textScale ?? 1,
    rightToLeft: view.rightToLeft ?? false,
    scope: initialScope(project, view.width),
    bands: project.bands,
    width: view.width,
    height: view.height,
    hinge: hingeIn(view),
  };
  return new Builder(around, steady);
}

export class ViewBoxes {
  private readonly builders = new Map<string, Builder>();
  /** What is the same whichever bands are in force, by text scale and direction. */
  private readonly steady = new Map<string, MadeBoxes>();
  private made: Pick<Project, 'state' | 'assets' | 'bands' | 'tokens' | 'styles'> | undefined;

  /** Whether all boxes that are kept leave colours to custom properties. */
  private hasHues = true;

  /** @param most how many kinds of views are kept, those used last. */
  constructor(
    private readonly shaper: Shaper,
    private readonly most = 1,
  ) {}

  /** The box of a screen in a view; undefined where the screen is hidden. */
  of(given: Project, of: Control, asked: View): Box | undefined {
    // Colours that blend are worked out.
    const view = asked.motions?.length ? { ...asked, hues: false } : asked;
    const { project, screen: still } = expandedOn(given, of);
    const screen = movedScreen(still, view.motions ?? [], themeOf(project, view.mode).tokens);
    const { made } = this;
    if (
      made?.state !== project.state ||
      made.assets !== project.assets ||
      made.bands !== project.bands ||
      !(view.hues && this.hasHues ? areAlikeButColours : isSame)(made.tokens, project.tokens) ||
      made.styles !== project.styles
    ) {
      this.builders.clear();
      this.steady.clear();
      this.hasHues = true;
    }
    this.made = project;
    this.hasHues &&= view.hues === true;
    const key = keyOf(project, screen, view);
    // Where a variable follows the band, so may everything that reads it.
    const steady = stateReadsView(project.state) ? undefined : this.steadyIn(view);
    const builder = this.builders.get(key) ?? boxesFor(this.shaper, project, view, steady);
    this.builders.delete(key);
    this.builders.set(key, builder);
    if (this.builders.size > this.most) this.builders.delete(this.builders.keys().next().value!);
    return sharingBudget(() => builder.box(screen));
  }

  private steadyIn({ textScale = 1, rightToLeft = false, mode = 'light', hues = false }: View): MadeBoxes {
    const key = `${textScale} ${rightToLeft} ${mode} ${hues}`;
    const known = this.steady.get(key);
    if (known) return known;
    // Text scales come and go; what is not shown any more is not worth keeping.
    if (this.steady.size >= this.most) this.steady.clear();
    const made: MadeBoxes = new WeakMap();
    this.steady.set(key, made);
    return made;
  }
}

const isSame = (one: unknown, other: unknown): boolean => one === other;

const stateReadsView = (state: Project['state']): boolean =>
  state.some(({ computed }) => computed !== undefined && mayReadView(computed));

function keyOf(project: Project, screen: Control, view: View): string {
  const { bands, state } = project;
  const { styles } = themeOf(project);
  const { width, height, textScale = 1, rightToLeft = false, mode, states, hues } = view;
  const used = prefixesOf(screen, styles);
  const all = used.has(viewPrefix) || stateReadsView(state);
  const inForce = prefixesInForce({ bands, width, height }).filter((prefix) => all || used.has(prefix));
  const sizes = clampedSizesOf(screen, styles).map((clamped) => textSizeAt(clamped, width, textScale));
  // What a screen does not ask about may be in force where its boxes are made, so others that ask have boxes of their own.
  const asked = all ? [] : [...used].toSorted();
  return JSON.stringify([
    ...[inForce, asked, textScale, rightToLeft, hingeIn(view), sizes, mode, hues],
    [...(states ?? [])],
  ]);
}
