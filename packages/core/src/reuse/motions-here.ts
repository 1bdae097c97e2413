/** The motions of an expanded screen: its own, and those of the components on it, with the controls that their keys are about. */
import type { Control } from '../document/types.ts';

/** A motion where it is played. */
export interface MotionHere {
  /** What the expanded screen calls it: that of an instance has its name in front, `first.breathe`. */
  readonly name: string;
  /** The line that declares it, with its attributes as the instance has them; the keys are in it. */
  readonly line: Control;
  /** Ids of controls on the expanded screen, by the names that keys use. */
  readonly controls: ReadonlyMap<string, string>;
}

const known = new WeakMap<Control, readonly MotionHere[]>();
const none: readonly MotionHere[] = [];

/** Keeps which motions an expanded screen has. */
export const keepMotions = (screen: Control, motions: readonly MotionHere[]): void => {
  if (motions.length > 0) known.set(screen, motions);
};

/** The motions of a screen that was expanded; none where it was not. */
export const motionsHere = (screen: Control): readonly MotionHere[] => known.get(screen) ?? none;
