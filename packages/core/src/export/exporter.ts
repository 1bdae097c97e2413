/**
 * What a format is that projects are handed over in. A format is one file beside this one and one line in `catalogue.ts`:
 * Ship, the command line and the server offer all that stand there.
 */
import type { CodeModule } from '../document/code.ts';
import type { PageConfig } from '../document/feed-config.ts';
import type { Row } from '../document/table.ts';
import type { Project } from '../document/types.ts';
import type { FontManifest } from '../text/fonts.ts';

/** What an export is made with besides the project. */
export interface ExportParts {
  readonly fonts: FontManifest;
  /** The page's script, built from the page package: defines `hovrinPage.start(program)`. */
  readonly script: string;
  /** Pieces of it that only some pages need, by their names. */
  readonly pieces: ReadonlyMap<string, string>;
  /** The rows of a table by its id; undefined where they are not known. */
  readonly rowsOfTable?: (id: string) => readonly Row[] | undefined;
  /** Where feeds come from at the place where the page runs, as far as that is known. */
  readonly config?: PageConfig;
  /** Makes the script of the project's own code, which a page loads in front of its own. */
  readonly compileCode: (modules: readonly CodeModule[]) => string;
  /** Direction of the page; left to right where absent. */
  readonly rightToLeft?: boolean;
}

/** Files to hand over. Bytes of fonts and pictures are put beside the texts by whoever writes them. */
export interface Exported {
  /** Text files by path. */
  readonly files: ReadonlyMap<string, string>;
  /** Text files to begin with, by path: they are a person's own from then on, and never written again. */
  readonly own: ReadonlyMap<string, string>;
  /** Names of the font files to put into `fonts/`, `.woff2` included. */
  readonly fonts: readonly string[];
  /** Fonts that are cut to the characters in use, each with these characters; absent: all are whole. */
  readonly cutFonts?: ReadonlyMap<string, string>;
  /** Names of the pictures to put into `assets/`. */
  readonly assets: readonly string[];
}

export interface Exporter {
  /** What the command line calls it, and addresses of the server. */
  readonly id: string;
  readonly label: string;
  /** One sentence: its use. */
  readonly purpose: string;
  /** The files that come out, each with its contents in a few words. */
  readonly contents: readonly (readonly [file: string, words: string])[];
  files(project: Project, parts: ExportParts): Exported;
}
