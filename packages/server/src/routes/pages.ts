/** The exported page: as a zip to take away, and served for Try, where it runs in a sandboxed frame. */

import { readFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { calledOrigins, type Exported, exporterNamed, ownCodeFile, sampleConditions } from '@hovrin/core';
import { fontFolder, workspace } from '@hovrin/files';
import type Router from '@koa/router';
import { LRUCache } from 'lru-cache';
import type { Parts } from '../parts.ts';
import { RequestError } from '../request.ts';

/** What a running page may do: run its own script, show its own files, listen to its feeds, nothing else. */
const pagePolicy = (origins: readonly string[]) =>
  `connect-src ${["'self'", ...origins].join(' ')}; default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; font-src 'self'; img-src 'self' data:; base-uri 'none'; form-action 'none'; frame-ancestors 'self'; sandbox allow-scripts allow-forms`;

const trialScript = '<script src="trial.js" defer></script>';

/**
 * A page as it is tried out: it listens to the window around it, by a script in front of its own, and has no code of the
 * application's.
 */
const tried = (html: string): string =>
  html
    .replace(`<script src="${ownCodeFile}" defer></script>\n    `, '')
    .replace('<script ', `${trialScript}\n    <script `);

/** Pages that are held; the one that was used longest ago goes first. */
const mostHeld = 12;

interface Made {
  readonly revision: number;
  readonly page: Exported;
  readonly name: string;
  readonly origins: readonly string[];
}

export function pageRoutes(router: Router, { store, workshop }: Parts): void {
  /** The newest pages, by project and conditions: being made, or made. */
  const pages = new LRUCache<string, { revision: number; page: Promise<Exported> }>({ max: mostHeld });

  /** @param conditions what the page is tried in: `long` texts, a condition of its tables (`rows-empty`). */
  async function pageOf(id: string, conditions: readonly string[] = [], format = 'html'): Promise<Made> {
    const open = store.has(id) ? store.read(id) : undefined;
    if (!open) throw new RequestError(404, 'There is no such project.');
    const { project, revision } = open;
    // What came from elsewhere calls nobody before a person has agreed.
    const origins = store.isForeign(id) && !conditions.includes('calls') ? [] : calledOrigins(project, true);
    const long = conditions.includes('long');
    const sample = sampleConditions.find((each) => conditions.includes(`rows-${each}`)) ?? 'typical';
    const key = `${id} ${format} ${long} ${sample}`;
    const known = pages.get(key);
    const made =
      known?.revision === revision
        ? known
        : { revision, page: workshop.do('page', { id, format, project, long, sample }) };
    pages.set(key, made);
    // One that failed is made anew when it is asked for again.
    made.page.catch(() => pages.get(key) === made && pages.delete(key));
    return { revision, page: await made.page, name: project.name, origins };
  }

  router.get('/api/projects/:id/export/:format', async (context) => {
    const { id = '', format = '' } = context.params;
    if (!exporterNamed(format)) throw new RequestError(404, 'There is no such format.');
    const { page, name } = await pageOf(id, [], format);
    const zip = await workshop.do('zip', { id, page });
    context.type = 'application/zip';
    context.attachment(`${name.replace(/[^\w-]+/g, '-').toLowerCase() || 'page'}.zip`);
    context.body = Buffer.from(zip);
  });

  // The revision in the address only keeps browsers from showing an older page; behind it stand conditions: `7~long`.
  router.get('/try/:id/:revision/{*path}', async (context) => {
    const id = context.params.id ?? '';
    const path = context.params.path || 'index.html';
    const { page, origins } = await pageOf(id, context.params.revision?.split('~').slice(1));
    context.set('Content-Security-Policy', pagePolicy(origins));
    // The frame's origin is opaque; fonts are only loaded across origins when the server allows it.
    context.set('Access-Control-Allow-Origin', '*');
    context.set('Cache-Control', 'no-store');
    const text = page.files.get(path);
    if (text !== undefined) {
      context.type = extname(path);
      context.body = path === 'index.html' ? tried(text) : text;
      return;
    }
    if (path === 'trial.js') {
      context.type = 'js';
      context.body = await readFile(join(workspace, 'packages/page/dist/trial.js'), 'utf8');
      return;
    }
    const [folder, file = ''] = path.split('/');
    if (folder === 'fonts' && page.fonts.includes(file)) {
      context.type = 'font/woff2';
      context.body = await readFile(join(fontFolder, file));
      return;
    }
    const asset =
      folder === 'assets' && page.assets.includes(file) ? store.pictures.get(id, file) : undefined;
    if (!asset) throw new RequestError(404, 'The page has no such file.');
    context.type = asset.type;
    context.body = asset.bytes;
  });
}
