/** A small screen of real controls, on which one sees what tokens and styles do. */
import { type Control, kindOf, type Project } from '@hovrin/core';

let made = 0;

function control(
  kind: string,
  props: Readonly<Record<string, string>>,
  children: readonly Control[] = [],
): Control {
  made++;
  return { id: `specimen-${made}`, kind, props, children };
}

const swatch = (background: string): Control =>
  control('spacer', { background, width: 'share', height: '28', corner: 'corner', 'border-width': '1' });

/** One of each of the controls that show most of a theme. */
export const specimenScreen: Control = {
  ...control('screen', { padding: '16', gap: '12', background: 'page' }, [
    control('heading', { text: 'Velmora Hut', level: '2' }),
    control('text', { text: 'Thirty bunks, a stove and a view of the ridge.', color: 'quiet' }),
    control('row', { gap: '4' }, ['page', 'sheet', 'tint', 'line', 'accent', 'warm', 'alert'].map(swatch)),
    control(
      'column',
      { padding: '16', gap: '12', background: 'sheet', corner: 'corner', 'border-width': '1' },
      [
        control('textField', { label: 'Party', value: 'Ten to the ridge', hint: 'As it stands in the book' }),
        control('row', { gap: '16', align: 'center' }, [
          control('checkbox', { label: 'Half board', checked: 'true' }),
          control('switch', { label: 'Quiet', checked: 'true' }),
        ]),
        control('progress', { label: 'Taken', value: '18', max: '30' }),
        control('row', { gap: '8' }, [
          control('button', { text: 'Keep' }),
          control('button', { text: 'Later', tone: 'plain' }),
          control('badge', { text: 'late' }),
        ]),
      ],
    ),
  ]),
  name: 'Specimen',
};

/** A project in which the specimen is the only screen, with the tokens and styles of another. */
export const specimenProject = (
  { tokens, styles, bands }: Project,
  screen: Control = specimenScreen,
): Project => ({
  format: 2,
  name: 'Specimen',
  bands,
  state: [],
  assets: [],
  ...(tokens ? { tokens } : {}),
  ...(styles ? { styles } : {}),
  screens: [screen],
});

/** What a style is shown on: a control of its kind, or a card with words. */
export function styleSpecimen(name: string | undefined, only: string | undefined): Control {
  const styled = name === undefined ? {} : { style: name };
  const child =
    only === undefined
      ? control('column', { ...styled, gap: '4' }, [control('text', { text: 'Words in it' })])
      : control(only, { ...kindOf({ kind: only }).starter, ...styled });
  return { ...control('screen', { padding: '12', background: 'page' }, [child]), name: 'Specimen' };
}
