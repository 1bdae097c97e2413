/** The entry of the bundle: runs the words of the process. */
import { run } from './main.ts';

/** Whether whoever reads has had enough, as `head` has after ten lines. */
let over = false;
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  over = true;
});

process.exitCode = await run(
  process.argv.slice(2),
  (text) => {
    if (!over) process.stdout.write(text);
  },
  (text) => process.stderr.write(text),
);
