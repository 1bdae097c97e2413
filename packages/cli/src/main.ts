/** `hovrin`: the core from a shell or a build. Exit codes: 0 fine, 1 findings, 2 bad input. */

import { backupCommand, restoreCommand } from './backup-command.ts';
import { BadInput } from './bad-input.ts';
import { checkCommand } from './check-command.ts';
import { compareCommand } from './compare-command.ts';
import { exportCommand } from './export-command.ts';
import { layoutCommand } from './layout-command.ts';
import { packCommand, unpackCommand } from './pack-command.ts';
import { pictureCommand } from './picture-command.ts';
import { stringsCommand } from './strings-command.ts';
import { sweepCommand } from './sweep-command.ts';
import { testCommand } from './test-command.ts';
import { whyCommand } from './why-command.ts';

const help = `hovrin: lays out screens and writes them as pages

  hovrin layout FILE [FILE …] --size WIDTHxHEIGHT [--size …] [--text-scale N] [--rtl] [--locale L]
                [--mode light|dark|contrast] [--state [CONTROL:]STATE …] [--motion NAME --at SECONDS]
      prints the boxes of all controls as JSON; of a motion those at a time from its start
  hovrin why FILE --size WIDTHxHEIGHT --control NAME [--axis width|height|x|y] [--json] [--text-scale N] [--rtl] [--mode M] [--state …]
      says why a control has its size and place, and what would change it
  hovrin sweep FILE [--from 280] [--to 1920] [--height 800] [--control NAME] [--json] [--text-scale N] [--rtl] [--mode M]
      prints the layout for every width, as stretches in which it changes evenly, and what happens between them
  hovrin check FILE|FOLDER [--from 280] [--to 1920] [--json] [--rtl] [--mode M] [--locale L] [--handlers FILE]
      tells what is wrong at any width, portrait and landscape, with plain and doubled text, in every language of the
      project or in one, and which handlers the application's own code lacks (FILE, or handlers.js in FOLDER); exit code 1 where something is
  hovrin compare A B [--from 280] [--to 1920] [--height 800] [--json] [--rtl] [--mode M]
      tells what differs between two versions (folders, zips, FOLDER@REVISION of git), control by control, and at which
      widths anything does; exit code 1 where something differs
  hovrin picture FILE|FOLDER --size WIDTHxHEIGHT [--screen NAME] [--whole] [--out FILE.svg|FILE.png] [--ratio N] [--text-scale N] [--rtl]
                 [--mode light|dark|contrast] [--state [CONTROL:]STATE …]
      writes a screen as an SVG file that carries its fonts and pictures, or as a PNG file of N px for each px
  hovrin export html FILE|FOLDER --out DIR [--rtl] [--locale L]
      writes index.html and what it needs
  hovrin strings FOLDER [--out FILE.xlf|csv|json] [--in FILE [--partly]] [--locale L]
      writes the texts to be translated, takes translations in, or tells how far each language is
  hovrin test FOLDER [--size WIDTHxHEIGHT …] [--task NAME …] [--json] [--browser FILE]
      does the tasks that were recorded, each at 390x844 and 1280x800 or at the sizes that are said, in Chromium;
      exit code 1 where one fails
  hovrin pack FOLDER --out FILE.hovrin.zip
  hovrin unpack FILE.hovrin.zip --out DIR
      a project's folder as one file, and back, byte for byte
  hovrin backup [--data FOLDER] --out FILE
  hovrin restore FILE [--data FOLDER]
      all projects of a server as one file, taken while it runs, and put back while it does not
`;

/** Runs a command line. @returns the exit code. */
export async function run(
  words: readonly string[],
  print: (text: string) => void,
  complain: (text: string) => void,
): Promise<number> {
  try {
    const [command, ...rest] = words;
    if (
      command === undefined ||
      command === 'help' ||
      words.some((word) => word === '--help' || word === '-h')
    ) {
      print(help);
      return command === undefined ? 2 : 0;
    }
    if (command === 'layout') return await layoutCommand(rest, print);
    if (command === 'why') return await whyCommand(rest, print);
    if (command === 'sweep') return await sweepCommand(rest, print);
    if (command === 'check') return await checkCommand(rest, print);
    if (command === 'compare') return await compareCommand(rest, print);
    if (command === 'picture') return await pictureCommand(rest, print);
    if (command === 'strings') return await stringsCommand(rest, print);
    if (command === 'export') return await exportCommand(rest, print);
    if (command === 'test') return await testCommand(rest, print);
    if (command === 'pack') return await packCommand(rest, print);
    if (command === 'unpack') return await unpackCommand(rest, print);
    if (command === 'backup') return await backupCommand(rest, print);
    if (command === 'restore') return await restoreCommand(rest, print);
    throw new BadInput(`There is no command \`${command}\`. \`hovrin help\` lists them.`);
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    complain(`${error.message}\n`);
    return 2;
  }
}
