/** `hovrin layout`: the boxes of all controls, as JSON. */
import { expandedProject, namedBoxes, type Project, ScreenView } from '@hovrin/core';
import { loadShaper } from '@hovrin/files';
import { BadInput, readInput } from './bad-input.ts';
import { readOptions, readSize } from './options.ts';
import { inLocale, readInstant, readStates, readViewOptions, viewOptions } from './view-options.ts';

/** With one file and one size prints the boxes; with several of either, one line of JSON for each. */
export async function layoutCommand(
  words: readonly string[],
  print: (text: string) => void,
): Promise<number> {
  const { values, positionals } = readOptions(words, {
    size: { type: 'string', multiple: true },
    ...viewOptions,
    motion: { type: 'string' },
    at: { type: 'string' },
    // What is printed is JSON anyway.
    json: { type: 'boolean' },
  });
  if (positionals.length === 0) throw new BadInput('Which file? `hovrin layout FILE --size 390x844`');
  if (!values.size) throw new BadInput('Which size? `--size 390x844`');
  const sizes = values.size.map((text) => ({ text, ...readSize(text) }));
  const how = readViewOptions(values);

  const inputs: { file: string; project: Project }[] = [];
  for (const file of positionals)
    inputs.push({ file, project: expandedProject(inLocale((await readInput(file)).project, values.locale)) });
  const shaper = await loadShaper();
  const jobs = inputs.flatMap(({ file, project }) =>
    project.screens.flatMap((screen) => sizes.map((size) => ({ file, project, screen, size }))),
  );
  for (const { file, project, screen, size } of jobs) {
    const layout = new ScreenView(shaper).layOut(project, screen, {
      width: size.width,
      height: size.height,
      ...how,
      ...readStates(project, values.state),
      ...readInstant(project, values),
    });
    const boxes = namedBoxes(project, screen, layout);
    print(
      jobs.length === 1
        ? `${JSON.stringify(boxes, null, 2)}\n`
        : `${JSON.stringify({ file, size: size.text, boxes })}\n`,
    );
  }
  return 0;
}
