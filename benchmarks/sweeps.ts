/** The sweep of the demo's Arrivals screen against laying it out at every width. */
import { join } from 'node:path';
import { ScreenView, sweep } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { readProjectFolder, workspace } from '@hovrin/files';
import { compare, type Measured } from './measure.ts';

export async function sweeps(shaper: Shaper): Promise<Measured[]> {
  const reading = await readProjectFolder(join(workspace, 'demo/velmora-hut'));
  if (!reading.ok) throw new Error('The demo cannot be read');
  const { project } = reading;
  const screen = project.screens.find(({ name }) => name === 'Arrivals')!;
  const [from, to, height] = [280, 1920, 800];
  return [
    {
      name: 'sweep of Arrivals over 1,641 widths',
      against: 'laying out at each of them',
      ratio: compare(
        () => void [...sweep(shaper, project, screen, { from, to, height })],
        () => {
          const view = new ScreenView(shaper);
          for (let width = from; width <= to; width++) view.layOut(project, screen, { width, height });
        },
        41,
      ),
      aim: 20,
    },
  ];
}
