/** A folder on a server of its own, as a page is served where it is handed over. */
import { once } from 'node:events';
import { readFile } from 'node:fs/promises';
import { createServer, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { extname, join, normalize } from 'node:path';

const types: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.css': 'text/css',
  '.js': 'text/javascript',
  '.json': 'application/json',
  '.svg': 'image/svg+xml',
  '.woff2': 'font/woff2',
};

/** What somebody asks for. */
export interface Asked {
  readonly url: URL;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
}

/** Answers in place of a file. @returns undefined: the file is sent. */
export type Service = (asked: Asked) => { readonly status: number; readonly body: unknown } | undefined;

export interface ServedFolder {
  /** Without a slash at its end. */
  readonly address: string;
  close(): Promise<void>;
}

/** @param service answers some questions with JSON. @param dress adds headers to the answer with a file. */
export async function serveFolder(
  folder: string,
  service: Service = () => undefined,
  dress: (response: ServerResponse, path: string) => void | Promise<void> = () => undefined,
): Promise<ServedFolder> {
  const server = createServer(async (request, response) => {
    const url = new URL(request.url ?? '/', 'http://localhost');
    const said = service({ url, headers: request.headers });
    if (said) {
      response.writeHead(said.status, { 'Content-Type': types['.json'] }).end(JSON.stringify(said.body));
      return;
    }
    const body = await readFile(join(folder, normalize(url.pathname))).catch(() => undefined);
    response.setHeader('Content-Type', types[extname(url.pathname)] ?? 'application/octet-stream');
    await dress(response, url.pathname);
    response.writeHead(body ? 200 : 404).end(body);
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    async close() {
      server.closeAllConnections();
      server.close();
      await once(server, 'close');
    },
  };
}

/** Adds the headers that the `headers.txt` of a folder asks for. */
export const asHeadersSay =
  (folder: string) =>
  async (response: ServerResponse): Promise<void> => {
    for (const line of (await readFile(join(folder, 'headers.txt'), 'utf8')).trim().split('\n')) {
      const [name = '', ...value] = line.split(': ');
      response.appendHeader(name, value.join(': '));
    }
  };
