/** The entry of the bundle: runs the words of the process. */
import { run } from './main.ts';

process.exitCode = await run(
  process.argv.slice(2),
  (text) => process.stdout.write(text),
  (text) => process.stderr.write(text),
);
