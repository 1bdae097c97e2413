/** A screen that is shown over others: a panel in the middle of a shade. */
import { freshName } from '../document/names.ts';
import type { Control, Project } from '../document/types.ts';
import { makerOf } from './maker.ts';

/** What lies between a dialog and the screen under it. */
const shade = '#1f2a2499';

/** A new dialog with words and a button that closes it; its name is free. */
export function newDialog(project: Project, newId: () => string): Control {
  const taken = new Set(project.screens.map((screen) => screen.name));
  const make = makerOf(newId);
  const panel = {
    width: '100%',
    'max-width': '420',
    padding: '24',
    gap: '16',
    background: 'sheet',
    corner: '8',
  };
  const props = { dialog: 'true', padding: '16', align: 'center', justify: 'center', background: shade };
  return make(
    'screen',
    freshName('Dialog', (name) => taken.has(name)),
    props,
    [
      make('column', 'panel', panel, [
        make('heading', undefined, { text: 'Heading' }),
        make('text', undefined, { text: 'What the person should know.' }),
        make('row', 'actions', { gap: '12', justify: 'end' }, [
          make('button', 'closes', { text: 'Close', 'on.press': 'close()' }),
        ]),
      ]),
    ],
  );
}
