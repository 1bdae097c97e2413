/**
 * Pieces of the page's script that only some pages need. A piece is one file in `packages/page/src/pieces` and one line
 * here: it is built apart, and stands in front of the program of a page that has a use for it.
 */
import { repetitionOf } from '../cascade/repetition.ts';
import { ruledColumns } from '../document/row-rules.ts';
import { walk } from '../document/tree.ts';
import { inForce, type Project } from '../document/types.ts';
import { kindOf, kinds } from '../kinds/catalogue.ts';
import { mannerOf } from '../kinds/manner.ts';
import type { Bindings, Program } from '../runtime/program.ts';
import { hasTransitions } from './transition-rules.ts';

/** Whether something on a screen of a project can be dragged. */
export const hasCarried = (project: Project): boolean =>
  project.screens.some((screen) =>
    [...walk(screen)].some(({ props }) => inForce(props.carries) !== undefined),
  );

/** Whether values come to a project from outside. */
const hasFeeds = ({ state }: Project): boolean => state.some(({ feed }) => feed !== undefined);

/** Whether something is asked of a service. */
const hasRequests = ({ state }: Project): boolean => state.some(({ request }) => request !== undefined);

/** Whether a table's columns have rules. */
const hasRules = ({ state }: Project): boolean =>
  state.some(({ columns }) => ruledColumns(columns).length > 0);

/** Whether something on a screen of a project shows records in rows, which a person goes through and sorts. */
const hasTables = (project: Project): boolean =>
  project.screens.some((screen) =>
    [...walk(screen)].some((control) => mannerOf(kindOf(control)).rows !== undefined),
  );

/** Whether something on a screen of a project is repeated. */
const hasRepeats = (project: Project): boolean =>
  project.screens.some((screen) => [...walk(screen)].some((control) => repetitionOf(control) !== undefined));

/** Whether the program of a page, as it is written in its script, has a part that fits: what it does not have it never asks for. */
const has =
  (part: RegExp) =>
  (_: Project, program: string): boolean =>
    part.test(program);

/** Whether a screen of a project says something by an attribute. */
const screensSay =
  (...attributes: readonly string[]) =>
  ({ screens }: Project): boolean =>
    screens.some(({ props }) => attributes.some((name) => inForce(props[name]) !== undefined));

/** Whether a screen asks those who leave it. */
export const hasLeaving = screensSay('leaving');

/** Whether a list stays at its end. */
const hasEnds = ({ screens }: Project): boolean =>
  screens.some((screen) => [...walk(screen)].some(({ props }) => inForce(props['at-end']) !== undefined));

/** Whether a person chooses files whose content is read. */
const hasUploads = (project: Project): boolean =>
  project.screens.some((screen) =>
    [...walk(screen)].some((control) => kindOf(control).properties.some(({ page }) => page?.as === 'upload')),
  );

/** By the name of each piece: whether a project's page needs it. The program is its JSON. */
const pieces: Readonly<Record<string, (project: Project, program: string) => boolean>> = {
  addresses: screensSay('address'),
  code: ({ code = [] }: Project): boolean => code.length > 0,
  data: has(/"name":"(?:(?:JSON|Random|Array|Object)\.|(?:en|de)codeURIComponent")/),
  dates: has(/"name":"Date\./),
  dragging: hasCarried,
  ends: hasEnds,
  feeds: hasFeeds,
  files: has(/"name":"(?:copy|download)"/),
  formats: has(/"name":"Format\./),
  languages: has(/"languages":\{"of"|"name":"View\.locale"/),
  leaving: hasLeaving,
  loops: has(/"type":"(?:each|while|try)"/),
  motions: has(/"motions":\[/),
  patterns: has(/"type":"pattern"/),
  ranges: has(/"name":"Range\./),
  repeats: hasRepeats,
  requests: hasRequests,
  rules: hasRules,
  tables: hasTables,
  timers: screensSay('every', 'when', 'splash'),
  transitions: hasTransitions,
  uploads: hasUploads,
  view: has(/"name":"View\.(?!lang|loc)/),
};

/** The piece by which something of a kind is made anew. */
const pieceOfKind = (kind: string): string => `kind-${kind}`;

/** The names of all pieces: those above, and one for each kind of which something is made anew while a page runs. */
export const pieceNames: readonly string[] = [
  ...Object.keys(pieces),
  ...kinds.filter(({ manner }) => manner?.anew).map(({ name }) => pieceOfKind(name)),
];

/** Kinds of which something is made anew, those in repeats included. */
const madeAnew = ({ inside, repeats }: Bindings): readonly string[] => [
  ...inside.map(({ kind }) => kind),
  ...repeats.flatMap(({ item }) => madeAnew(item)),
];

/** The names of the pieces that a project's page needs, in the order in which they stand there. */
export function piecesNeeded(project: Project, program: Program): readonly string[] {
  const text = JSON.stringify(program);
  return [
    ...Object.entries(pieces).flatMap(([name, isNeeded]) => (isNeeded(project, text) ? name : [])),
    ...[...new Set(program.screens.flatMap(madeAnew))].toSorted().map(pieceOfKind),
  ];
}
