/** Motions that move nothing, that nobody plays, that flash, that cannot be held. */
import { themeOf } from '../../cascade/project-theme.ts';
import { effectiveNames } from '../../document/names.ts';
import { didYouMean } from '../../document/nearest.ts';
import { walk } from '../../document/tree.ts';
import { type Control, inForce, type Project, treesOf } from '../../document/types.ts';
import { pointersOf } from '../../expression/names.ts';
import { parseStatements } from '../../expression/parse.ts';
import { kindOf } from '../../kinds/catalogue.ts';
import { declaredName } from '../../kinds/component.ts';
import { keyControl, keyTime, motionPlays, motionSeconds } from '../../kinds/motion.ts';
import { flashesOf } from '../../motion/flashes.ts';
import { lengthOf } from '../../motion/instant.ts';
import { keyedIn, said, timelineOf } from '../../motion/timeline.ts';
import { kindIn } from '../../reuse/instance-kinds.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

/** A motion, where it is declared. */
interface Declared {
  readonly tree: Control;
  readonly line: Control;
  readonly name: string;
}

const motionsIn = (tree: Control): readonly Declared[] =>
  tree.children.flatMap((line) =>
    kindOf(line).declares === 'motion'
      ? [{ tree, line, name: inForce(line.props[declaredName.name]) ?? '' }]
      : [],
  );

const allMotions = (project: Project): readonly Declared[] => treesOf(project).flatMap(motionsIn);

/** Actions on motions in the events of a tree: pairs of an action and a motion's name. */
const doneIn = (tree: Control): readonly { readonly action: string; readonly name: string }[] =>
  [...walk(tree)].flatMap(({ props }) =>
    Object.entries(props).flatMap(([attribute, value]) => {
      const read = attribute.startsWith('on.') ? parseStatements(inForce(value) ?? '') : undefined;
      return read?.ok ? pointersOf(read.value).filter(({ what }) => what === 'motion') : [];
    }),
  );

const at = (tree: Control, control: Control, sentence: string, attribute?: string): FoundProblem => ({
  place: { in: 'control', tree, control, ...(attribute === undefined ? {} : { attribute }) },
  sentence,
});

/** What is wrong with a key; undefined where nothing is. */
function keyProblem(
  project: Project,
  { tree, line, name }: Declared,
  key: Control,
): FoundProblem | undefined {
  const wanted = inForce(key.props[keyControl.name]);
  const names = effectiveNames(tree);
  const control = [...walk(tree)].find(({ id }) => names.get(id) === wanted);
  if (wanted === undefined || !control)
    return at(
      tree,
      key,
      wanted === undefined
        ? `A key of \`${name}\` says no control.`
        : `\`${name}\` moves \`${wanted}\`, which is not there.${didYouMean(wanted, [...names.values()])}`,
      keyControl.name,
    );
  const time = said(key, keyTime);
  if (typeof time === 'number' && time > (said(line, motionSeconds) ?? 1))
    return at(tree, key, `A key of \`${name}\` stands at ${time} s, behind its end.`, keyTime.name);
  const kind = kindIn(project, control, tree.name);
  const strange = keyedIn(key).find(
    ({ property }) => !kind.properties.some((each) => each.name === property.name),
  );
  if (strange)
    return at(
      tree,
      key,
      `\`${name}\` moves \`${strange.property.name}\` of \`${wanted}\`, which has none.`,
      strange.property.name,
    );
  return keyedIn(key).length === 0
    ? at(tree, key, `A key of \`${name}\` for \`${wanted}\` changes nothing.`)
    : undefined;
}

export const motionFaults: ProblemKind = {
  name: 'motion',
  title: 'Moves nothing',
  severity: 'error',
  find: (project) =>
    allMotions(project).flatMap((declared): FoundProblem[] => {
      const { tree, line, name } = declared;
      const first = motionsIn(tree).find((each) => each.name === name);
      if (name === '') return [at(tree, line, 'A motion has no name.', declaredName.name)];
      if (first?.line !== line)
        return [at(tree, line, `There are two motions \`${name}\`.`, declaredName.name)];
      if (line.children.length === 0) return [at(tree, line, `\`${name}\` has no keys.`)];
      return line.children.flatMap((key) => keyProblem(project, declared, key) ?? []);
    }),
};

export const neverPlayed: ProblemKind = {
  name: 'never-played',
  title: 'Nobody plays it',
  severity: 'warning',
  find: (project) =>
    allMotions(project).flatMap(({ tree, line, name }) => {
      const isPlayed =
        line.props[motionPlays.name] !== undefined ||
        doneIn(tree).some((done) => done.action === 'play' && done.name === name);
      return isPlayed
        ? []
        : [
            {
              ...at(
                tree,
                line,
                `Nothing plays \`${name}\`: no event says \`play("${name}")\`, and it has no \`plays\`.`,
              ),
              fixes: [
                {
                  label: 'Play it while the screen is shown',
                  steps: [
                    { type: 'set', control: line.id, property: motionPlays.name, value: 'true' } as const,
                  ],
                },
              ],
            },
          ];
    }),
};

/** A motion by itself, whatever screen it is on. */
const timeline = ({ tree, line, name }: Declared, project: Project) =>
  timelineOf(
    { name, line, controls: new Map([...effectiveNames(tree)].map(([id, each]) => [each, id])) },
    themeOf(project).tokens,
  );

/** Most flashes within a second that do no harm (WCAG 2.2, 2.3.1). */
const mostFlashes = 3;

export const flashing: ProblemKind = {
  name: 'flashing',
  title: 'Flashes',
  severity: 'error',
  find: (project) =>
    allMotions(project).flatMap((declared) => {
      const motion = timeline(declared, project);
      const most = Math.max(0, ...motion.tracks.map((track) => flashesOf(motion, track, themeOf(project))));
      const sentence = `\`${declared.name}\` flashes ${most} times within a second; more than three can bring about seizures (WCAG 2.3.1).`;
      return most > mostFlashes ? [at(declared.tree, declared.line, sentence)] : [];
    }),
};

/** How long something may move by itself before people must be able to hold it, s (WCAG 2.2, 2.2.2). */
const longestAlone = 5;

export const noPause: ProblemKind = {
  name: 'no-pause',
  title: 'Cannot be held',
  severity: 'warning',
  find: (project) =>
    allMotions(project).flatMap((declared) => {
      const { tree, line, name } = declared;
      const length = lengthOf(timeline(declared, project));
      // What it plays by may be something that people change.
      const isAlone = /^\s*\{?\s*true\s*\}?\s*$/.test(inForce(line.props[motionPlays.name]) ?? '');
      const isHeld = doneIn(tree).some(
        (done) => done.name === name && (done.action === 'pause' || done.action === 'stop'),
      );
      if (!isAlone || isHeld || length <= longestAlone) return [];
      const words = Number.isFinite(length) ? `for ${length} s` : 'without an end';
      return [
        at(
          tree,
          line,
          `\`${name}\` moves ${words}, and nothing holds it: \`pause("${name}")\` on a button does (WCAG 2.2.2).`,
        ),
      ];
    }),
};
