/** The motions of a screen in the program of its page. */
import { themeOf } from '../cascade/project-theme.ts';
import { locationsIn } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import type { Template } from '../expression/ast.ts';
import { motionsOn } from '../motion/moved.ts';
import type { ProgramMotion } from '../runtime/program.ts';
import { motionTargets } from './motion-frames.ts';

/** A flag that is no expression, as one; undefined where it never holds. */
const flagged = (text: string | undefined): string | undefined =>
  text === 'true' ? '{true}' : text === 'false' ? undefined : text;

/**
 * @param screen expanded. @param names what the page calls its controls.
 * @param templateOf reads an expression of it.
 */
export function programMotions(
  project: Project,
  screen: Control,
  names: ReadonlyMap<string, string>,
  templateOf: (text: string | undefined) => Template | undefined,
): ProgramMotion[] {
  const theme = themeOf(project);
  const places = locationsIn(screen);
  return motionsOn(screen, theme.tokens).map((motion) => {
    const plays = templateOf(flagged(motion.plays));
    return {
      name: motion.name,
      seconds: motion.seconds,
      ...(motion.delay > 0 ? { delay: motion.delay } : {}),
      ...(motion.repeat === 1 ? {} : { repeat: Number.isFinite(motion.repeat) ? motion.repeat : 0 }),
      ...(motion.alternate ? { alternate: true as const } : {}),
      ...(plays ? { plays } : {}),
      targets: motionTargets(project, motion, places, names, theme),
    };
  });
}
