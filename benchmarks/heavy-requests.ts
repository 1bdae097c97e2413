/** Requests that mean harm, or ask for much: what each sends, for the project `id` whose screen is `screen`. */
import type { Control, Project, Row, Step } from '@hovrin/core';
import { filesOf, packProject } from '@hovrin/files';

export interface HeavyRequest {
  readonly name: string;
  readonly path: string;
  /** Sent by POST; undefined: the path is asked for. */
  readonly body?: string | Uint8Array<ArrayBuffer>;
}

export const text = (id: string, words: string): Control => ({
  id,
  kind: 'text',
  props: { text: words },
  children: [],
});
export const insert = (parent: string, control: Control): Step => ({
  type: 'insert',
  parent,
  index: 0,
  control,
});

/** A text that runs nearly as long as the budget of a whole allows. */
export const costly = `{[...'${'x'.repeat(900)}'].map(a => [...'${'x'.repeat(900)}'].map(b => a + b).join('')).length}`;

/** The project with 40 drawings of about 1 MB each, as a zip. */
function withDrawings(project: Project): Uint8Array<ArrayBuffer> {
  const path = '<path d="M1 2 3 4z"/>'.repeat(50_000);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${path}</svg>`;
  const names = Array.from({ length: 40 }, (_, index) => `drawing${index}.svg`);
  const assets = names.map((name) => ({ name, type: 'image/svg+xml', width: 9, height: 9 }));
  const pictures = new Map(names.map((name) => [name, new TextEncoder().encode(svg)]));
  return new Uint8Array(packProject(filesOf({ project: { ...project, assets }, rows: new Map(), pictures })));
}

/** Ten rows of 4,000 keys each. */
const wideRows = (): Row[] =>
  Array.from({ length: 10 }, (_, row) =>
    Object.fromEntries(Array.from({ length: 4000 }, (_, key) => [`key${key}`, row])),
  );

/** @param entries the body of a request that sends one entry of these steps */
export function heavyRequests(
  id: string,
  project: Project,
  entries: (...steps: Step[]) => string,
): HeavyRequest[] {
  const screen = project.screens[0]!.id;
  const step = (name: string, ...steps: Step[]): HeavyRequest => ({
    name,
    path: `/api/projects/${id}/entries`,
    body: entries(...steps),
  });
  const file = `/api/projects/${id}/tables/stays/file?name=stays.csv`;
  const guests = Array.from({ length: 200_000 }, (_, index) => `Guest ${index},${index}`);
  const icon: Control = { id: 'i', kind: 'icon', props: { icon: 'x'.repeat(100_000) }, children: [] };
  const twice: Control = { id: 'twice', kind: 'row', props: {}, children: [text('twice', 'x')] };
  const bomb = packProject(new Map([['project.json', new Uint8Array(200_000_000)]]));
  return [
    { name: 'a page of 100 costly texts', path: `/try/${id}/1/index.html` },
    { name: 'a file of 200,000 rows', path: file, body: `guest,beds\n${guests.join('\n')}` },
    { name: 'one line of 20 million columns', path: file, body: ','.repeat(20_000_000) },
    step('an icon with a name of 100 KB', insert(screen, icon)),
    step('an id that its child has, too', insert(screen, twice)),
    step('ten rows of 4,000 keys', { type: 'rows', list: 'stays', at: 0, remove: [], insert: wideRows() }),
    { name: 'a zip of 40 drawings', path: '/api/projects/zip', body: withDrawings(project) },
    { name: 'a zip bomb', path: '/api/projects/zip', body: new Uint8Array(bomb) },
  ];
}
