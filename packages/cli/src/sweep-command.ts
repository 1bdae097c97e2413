/** `hovrin sweep`: a screen's layout for every width, as stretches and the changes between them. */
import {
  type Control,
  effectiveNames,
  entryOf,
  expandedProject,
  itemAt,
  itemName,
  numberAt,
  type SweepPart,
  sweep,
  sweepChangeWords,
} from '@hovrin/core';
import { loadShaper } from '@hovrin/files';
import { BadInput, readInput } from './bad-input.ts';
import { readOptions } from './options.ts';
import { inLocale, readViewOptions, viewOptions } from './view-options.ts';

export async function sweepCommand(words: readonly string[], print: (text: string) => void): Promise<number> {
  const { values, positionals } = readOptions(words, {
    ...viewOptions,
    from: { type: 'string' },
    to: { type: 'string' },
    height: { type: 'string' },
    control: { type: 'string' },
    json: { type: 'boolean' },
  });
  if (positionals.length !== 1)
    throw new BadInput('One file or folder is needed: `hovrin sweep FILE --from 280 --to 1920`');
  const from = readWidth(values.from ?? '280', '--from');
  const to = readWidth(values.to ?? '1920', '--to');
  const height = readWidth(values.height ?? '800', '--height');
  if (to < from) throw new BadInput(`The sweep ends (${to}) before it begins (${from}).`);
  const options = { from, to, height, ...readViewOptions(values) };
  const { project: source } = await readInput(itemAt(positionals, 0));
  const project = expandedProject(inLocale(source, values.locale));
  const shaper = await loadShaper();
  const many = project.screens.length > 1;
  let shown = 0;
  for (const screen of project.screens) {
    const names = effectiveNames(screen);
    const only = values.control;
    if (only !== undefined && ![...names.values()].includes(only)) continue;
    shown++;
    const parts = [...sweep(shaper, project, screen, options)];
    if (values.json) {
      const stretches = parts.map((part) => plain(part, names, only));
      print(`${JSON.stringify(many ? { screen: screen.name, stretches } : stretches)}\n`);
    } else {
      if (many) print(`${screen.name}\n`);
      for (const part of parts) print(readable(part, screen, names, only));
    }
  }
  if (shown === 0) throw new BadInput(`There is no control \`${values.control}\`.`);
  return 0;
}

/** A width in CSS px. @throws BadInput where it is none. */
export function readWidth(text: string, option: string): number {
  const value = Number(text);
  if (text.trim() === '' || !(value >= 1 && value <= 20_000))
    throw new BadInput(`\`${option}\` takes a length from 1 to 20000, not \`${text}\`.`);
  return value;
}

const exact = (value: number) => Number(value.toFixed(4));

/** A stretch with each box at both its ends, and the change at its beginning. */
function plain({ stretch, change }: SweepPart, names: ReadonlyMap<string, string>, only: string | undefined) {
  const boxes = stretch.boxes.flatMap(({ control, items }, index) => {
    if (control === undefined) return [];
    const name = itemName(entryOf(names, control), items);
    if (only !== undefined && names.get(control) !== only) return [];
    const at = (numbers: Float64Array) => {
      const [x, y, width, height] = [...numbers.subarray(4 * index, 4 * index + 4)].map(exact);
      return { x, y, width, height };
    };
    return [{ name, start: at(stretch.start), end: at(stretch.end) }];
  });
  return {
    from: stretch.from,
    to: stretch.to,
    ...(change
      ? {
          change: {
            width: change.width,
            jump: change.jump,
            causes: change.causes.map(({ control, ...cause }) => ({
              ...cause,
              ...(control === undefined ? {} : { control: names.get(control) }),
            })),
          },
        }
      : {}),
    boxes,
  };
}

function readable(
  { stretch, change }: SweepPart,
  screen: Control,
  names: ReadonlyMap<string, string>,
  only: string | undefined,
): string {
  const lines: string[] = [];
  if (change)
    for (const words of sweepChangeWords(change, screen)) lines.push(`  ${exact(change.width)}: ${words}`);
  const shown = stretch.boxes.findIndex(
    ({ control }) =>
      control !== undefined && (only === undefined ? control === screen.id : names.get(control) === only),
  );
  const size = (numbers: Float64Array) =>
    shown < 0
      ? 'hidden'
      : `${exact(numberAt(numbers, 4 * shown + 2))} x ${exact(numberAt(numbers, 4 * shown + 3))}`;
  lines.push(
    `${exact(stretch.from)} to ${exact(stretch.to)}: ${only ?? screen.name ?? 'screen'} ${size(stretch.start)}${stretch.to > stretch.from ? ` to ${size(stretch.end)}` : ''}`,
  );
  return `${lines.join('\n')}\n`;
}
