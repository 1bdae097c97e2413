/**
 * Builds what runs: fonts, the page's script, the command line, the server, the web application. Each part is
 * made only when one of its sources is newer than what is there.
 */
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { makeFonts } from './fonts.mjs';
import { mannersIn, slimPage } from './page-script.mjs';

const root = dirname(import.meta.dirname);

/** Time of the newest file in some folders, in ms. */
function newest(paths) {
  let time = 0;
  const visit = (path) => {
    const found = statSync(path);
    if (!found.isDirectory()) time = Math.max(time, found.mtimeMs);
    else
      for (const name of readdirSync(path))
        if (name !== 'node_modules' && name !== 'dist') visit(join(path, name));
  };
  for (const path of paths) visit(join(root, path));
  return time;
}

/** Sources with an import of Node's own are bundled as they are; packages stay outside, in node_modules. */
async function bundle(options) {
  const { build } = await import('esbuild');
  await build({ bundle: true, absWorkingDir: root, logLevel: 'warning', target: 'es2023', ...options });
}

const forNode = {
  platform: 'node',
  format: 'esm',
  // Our own packages are TypeScript and go in; all others stay where npm put them.
  plugins: [
    {
      name: 'packages-outside',
      setup(build) {
        build.onResolve({ filter: /^[^./]/ }, ({ path }) =>
          path.startsWith('@hovrin/') ? undefined : { path, external: true },
        );
      },
    },
  ],
};

/** Bundles one file for Node. */
export const bundleForNode = (entry, outfile) => bundle({ entryPoints: [entry], outfile, ...forNode });

const forPages = { format: 'iife', minify: true, charset: 'utf8' };

/** Makes a bundled script of pages smaller still: another minifier finds what the bundler's leaves. */
async function minified(file, comment) {
  const { minifySync } = await import('rolldown/utils');
  const { code, errors } = minifySync(file, readFileSync(join(root, file), 'utf8'), {
    compress: { target: 'es2023' },
    mangle: { toplevel: false },
  });
  if (errors.length > 0) throw new Error(errors.map(({ message }) => message).join('\n'));
  writeFileSync(join(root, file), `${comment}\n${code}`);
}

/** Bundles a piece of the page's script, to be put behind it. */
async function piece(name, contents, folder, comment) {
  const outfile = `packages/page/dist/${name}.js`;
  const stdin = { contents, resolveDir: join(root, folder) };
  await bundle({ stdin, outfile, plugins: [slimPage], ...forPages });
  await minified(outfile, `/* ${comment}. */`);
}

/** Bundles the pieces that only some pages have: those of the folder, and one for each kind that is made anew. */
async function pieces() {
  const folder = 'packages/page/src/pieces';
  const kinds = 'packages/core/src/kinds';
  for (const { name, path, isMadeAnew } of await mannersIn(join(root, kinds)))
    if (isMadeAnew)
      await piece(
        `kind-${name}`,
        `import { manner } from '${path}'; hovrinPage.pieces.push((_, { addManner }) => addManner('${name}', manner));`,
        kinds,
        `${name[0].toUpperCase()}${name.slice(1)}, made anew`,
      );
  for (const file of readdirSync(join(root, folder))) {
    const name = file.replace(/\.ts$/, '');
    if (name === 'piece') continue;
    const contents = `import { piece } from './${file}'; hovrinPage.pieces.push(piece);`;
    await piece(name, contents, folder, `${name[0].toUpperCase()}${name.slice(1)}`);
  }
}

const parts = {
  fonts: {
    sources: ['scripts/fonts.mjs'],
    made: 'packages/core/fonts/fonts.json',
    make: makeFonts,
  },
  page: {
    sources: ['packages/core/src', 'packages/page/src', 'scripts/page-script.mjs'],
    made: 'packages/page/dist/page.js',
    async make() {
      await bundle({
        entryPoints: ['packages/page/src/entry.ts'],
        outfile: 'packages/page/dist/page.js',
        plugins: [slimPage],
        ...forPages,
      });
      await minified('packages/page/dist/page.js', '/* Runs the data below. */');
      await pieces();
    },
  },
  trial: {
    sources: ['packages/core/src/runtime', 'packages/page/src'],
    made: 'packages/page/dist/trial.js',
    make: () =>
      bundle({
        entryPoints: ['packages/page/src/trial-script.ts'],
        outfile: 'packages/page/dist/trial.js',
        ...forPages,
      }),
  },
  asking: {
    sources: ['packages/core/src/requests', 'packages/page/src/asking-frame.ts'],
    made: 'packages/page/dist/asking.js',
    make: () =>
      bundle({
        entryPoints: ['packages/page/src/asking-frame.ts'],
        outfile: 'packages/page/dist/asking.js',
        ...forPages,
      }),
  },
  cli: {
    sources: ['packages/core/src', 'packages/files/src', 'packages/cli/src'],
    made: 'packages/cli/dist/hovrin.mjs',
    make: () => bundleForNode('packages/cli/src/index.ts', 'packages/cli/dist/hovrin.mjs'),
  },
  server: {
    sources: ['packages/core/src', 'packages/files/src', 'packages/server/src'],
    made: 'packages/server/dist/server.mjs',
    make: async () => {
      await bundleForNode('packages/server/src/work/worker.ts', 'packages/server/dist/worker.mjs');
      await bundleForNode('packages/server/src/index.ts', 'packages/server/dist/server.mjs');
    },
  },
  web: {
    sources: [
      'packages/core/src',
      'packages/web/src',
      'packages/web/index.html',
      'packages/web/vite.config.ts',
    ],
    made: 'packages/web/dist/index.html',
    make: async () => {
      const { build } = await import('vite');
      await build({ root: join(root, 'packages/web'), logLevel: 'error' });
    },
  },
};

/** Makes the named parts where they are missing or older than their sources. */
export async function ensureBuilt(names = Object.keys(parts), tell = () => {}) {
  for (const name of names) {
    const { sources, made, make } = parts[name];
    const path = join(root, made);
    if (existsSync(path) && statSync(path).mtimeMs >= newest([...sources, 'scripts/build.mjs'])) continue;
    tell(name);
    await make();
  }
}

if (process.argv[1] === import.meta.filename)
  await ensureBuilt(undefined, (name) => console.log(`building ${name}`));
