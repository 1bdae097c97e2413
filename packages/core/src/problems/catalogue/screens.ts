/** Screens that nobody reaches, and screens that nobody leaves. */
import { type Control, inForce, isDialog } from '../../document/types.ts';
import { addressedOf } from '../../meaning/addressed.ts';
import { reachOf } from '../../ways/reach.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

const at = (screen: Control, sentence: string): FoundProblem => ({
  place: { in: 'control', tree: screen, control: screen },
  sentence,
});

export const unreached: ProblemKind = {
  name: 'unreached',
  title: 'Nobody gets there',
  severity: 'warning',
  find(project) {
    const { unreached: names } = reachOf(project);
    return project.screens
      .filter(({ name = '' }) => names.has(name))
      .map((screen) =>
        at(screen, `No way leads to \`${screen.name}\`: no link, no navigation, no \`go\`, no \`open\`.`),
      );
  },
};

/** Attributes of screens that a dialog has no use for, each with a sentence. */
const ofScreens: Readonly<Record<string, string>> = {
  leaving: 'A dialog is closed without a question; a screen can ask.',
  comes: 'A dialog opens over the screen, at once; a screen comes by a transition.',
  menu: 'A dialog does not stand in the menu.',
  splash: 'A dialog opens over a screen; only the screen that opens first is a splash.',
};

/** Wrong addresses of screens, and what a dialog says in vain. */
export const addresses: ProblemKind = {
  name: 'address',
  title: 'Says what it cannot do',
  severity: 'error',
  find: ({ screens, state }) =>
    screens.flatMap((screen) => {
      const { wrong } = addressedOf(screen, state);
      const ofDialog = isDialog(screen)
        ? Object.entries(ofScreens).filter(([attribute]) => inForce(screen.props[attribute]) !== undefined)
        : [];
      const said = (attribute: string, sentence: string): FoundProblem => ({
        place: { in: 'control', tree: screen, control: screen, attribute },
        sentence,
      });
      return [
        ...(wrong === undefined ? [] : [said('address', wrong)]),
        ...ofDialog.map(([attribute, sentence]) => said(attribute, sentence)),
      ];
    }),
};

export const noWayOut: ProblemKind = {
  name: 'no-way-out',
  title: 'No way out',
  severity: 'advice',
  find(project) {
    const { noWayOut: names } = reachOf(project);
    return project.screens
      .filter(({ name = '' }) => names.has(name))
      .map((screen) => at(screen, `Whoever is on \`${screen.name}\` finds no way to another screen on it.`));
  },
};
