/**
 * What is worked out beside the server, in a thread that can be ended: pages, files of rows, zips. The thread that
 * stores answers meanwhile. Each job is a function of plain data; it reads rows and pictures from the database itself.
 */
import { deflateSync } from 'node:zlib';
import {
  type BadLine,
  type Column,
  columnsOf,
  csvOf,
  type Exported,
  entryOf,
  expandedProject,
  exporterNamed,
  firstRows,
  type ImportPlan,
  importLines,
  initialRows,
  inSample,
  itemAt,
  linesOfFile,
  longTexts,
  messageOf,
  mostTableRows,
  type Project,
  planProblem,
  type Rewriting,
  type Row,
  rewrittenRow,
  type SampleCondition,
  type StateVariable,
  textOfFile,
} from '@hovrin/core';
import {
  drawScreen,
  filesOf,
  handedFont,
  makeExport,
  packProject,
  RefusedZip,
  readFiles,
  type UnpackedProject,
  unpackProject,
} from '@hovrin/files';
import { strToU8, type Zippable, zipSync } from 'fflate';
import { nanoid } from 'nanoid';
import type { PictureStore } from '../store/pictures.ts';
import type { RowStore } from '../store/rows.ts';
import { storable, UnfitPicture } from './storable.ts';

/** Rows on their way into the database: packed, with the first of them. */
export interface PackedRows {
  /** JSON of the rows, deflated. */
  readonly packed: Uint8Array;
  readonly count: number;
  readonly first: readonly Row[];
}

/** Most lines of a file that are given back, since they are not right. */
const mostBad = 2000;

/** What came of a file: the rows that the table has with it, or what keeps them out; and the lines that are not right. */
export type FileOutcome = {
  /** How many lines are taken, or would be. */
  readonly taken: number;
  readonly bad: readonly BadLine[];
  /** How many lines besides are not right. */
  readonly more: number;
} & (
  | { readonly ok: true; readonly columns: readonly Column[]; readonly rows: PackedRows }
  /** Why the file is none, or goes in no way that was planned. */
  | { readonly ok: false; readonly problem?: string }
);

/** What jobs read from. */
export interface Sources {
  readonly rows: RowStore;
  readonly pictures: PictureStore;
}

const pack = (rows: readonly Row[]): PackedRows => ({
  packed: deflateSync(JSON.stringify(rows)),
  count: rows.length,
  first: rows.slice(0, firstRows),
});

interface PageJob {
  /** Of the catalogue of formats. */
  readonly format: string;
  readonly id: string;
  readonly project: Project;
  /** With longer texts. */
  readonly long: boolean;
  readonly sample: SampleCondition;
}

interface FileJob {
  readonly id: string;
  readonly name: string;
  /** The file. */
  readonly bytes: Uint8Array;
  /** The table that they come to. */
  readonly variable: StateVariable;
  readonly plan: ImportPlan;
  /** Where what its columns refer to is found. */
  readonly state: readonly StateVariable[];
}

interface ZipJob {
  readonly id: string;
  readonly page: Exported;
}

interface PackJob {
  readonly id: string;
  readonly project: Project;
}

/** A project out of a zip, or what keeps it out. */
export type UnpackOutcome =
  | ({ readonly ok: true } & UnpackedProject)
  | { readonly ok: false; readonly message: string };

interface PictureJob {
  readonly name: string;
  /** Its media type. */
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** A picture to be stored, or why it is none. */
export type PictureOutcome =
  | { readonly ok: true; readonly bytes: Uint8Array }
  | { readonly ok: false; readonly message: string };

interface DrawingJob {
  /** Of the project; undefined: it is stored nowhere, and has no pictures. */
  readonly id: string | undefined;
  readonly project: Project;
}

/** The view in which cards show a project, CSS px. */
const cardView = { width: 1040, height: 650 };

interface TableJob {
  readonly id: string;
  readonly table: string;
}

export const jobs = {
  /** A project as it is handed over. */
  async page({ rows }: Sources, { id, format, project, long, sample }: PageJob): Promise<Exported> {
    const told = inSample(project, sample);
    const exporter = exporterNamed(format);
    if (!exporter) throw new Error(`There is no format ${format}.`);
    return makeExport(exporter, long ? longTexts(told) : told, {
      rowsOfTable: (table) => rows.rows(id, table),
    });
  },

  /** A page as a zip, with its fonts and pictures. */
  async zip({ pictures }: Sources, { id, page }: ZipJob): Promise<Uint8Array> {
    const files: Zippable = {};
    for (const [path, text] of [...page.files, ...page.own]) files[path] = strToU8(text);
    for (const font of page.fonts) files[`fonts/${font}`] = [await handedFont(page, font), { level: 0 }];
    for (const asset of page.assets) {
      const found = pictures.get(id, asset);
      // Pictures are packed already, but for drawings.
      if (found) files[`assets/${asset}`] = [found.bytes, { level: found.type === 'image/svg+xml' ? 6 : 0 }];
    }
    return zipSync(files);
  },

  /** A project as a zip of its folder. */
  async pack({ rows, pictures }: Sources, { id, project }: PackJob): Promise<Uint8Array> {
    const tables = project.state.flatMap(({ table }) => table ?? []);
    const found = project.assets.flatMap(({ name }) => {
      const picture = pictures.get(id, name);
      return picture ? [[name, picture.bytes] as const] : [];
    });
    return packProject(
      filesOf({
        project,
        rows: new Map(tables.map((table) => [table.id, rows.rows(id, table.id)])),
        pictures: new Map(found),
      }),
    );
  },

  /** A project out of a zip of its folder. */
  async unpack(_: Sources, { bytes }: { readonly bytes: Uint8Array }): Promise<UnpackOutcome> {
    try {
      const unpacked = readFiles(unpackProject(bytes), () => nanoid(10));
      const pictures = unpacked.project.assets.map(
        ({ name, type }) => [name, storable(name, type, entryOf(unpacked.pictures, name))] as const,
      );
      return { ok: true, ...unpacked, pictures: new Map(pictures) };
    } catch (error) {
      if (error instanceof RefusedZip || error instanceof UnfitPicture)
        return { ok: false, message: error.message };
      throw error;
    }
  },

  /** A picture as it is stored. */
  async picture(_: Sources, { name, type, bytes }: PictureJob): Promise<PictureOutcome> {
    try {
      return { ok: true, bytes: storable(name, type, bytes) };
    } catch (error) {
      if (error instanceof UnfitPicture) return { ok: false, message: error.message };
      throw error;
    }
  },

  /** The first screen of a project that is seen, as an SVG for its card. */
  async drawing({ pictures }: Sources, { id, project: given }: DrawingJob): Promise<string> {
    const project = expandedProject(given);
    const screen = project.screens.find(({ name }) => name === given.start) ?? itemAt(project.screens, 0);
    return drawScreen({
      project,
      screen,
      view: cardView,
      pictureBytes: async (name) => (id === undefined ? undefined : pictures.get(id, name)?.bytes),
    });
  },

  /** Rows from a file. */
  async file({ rows }: Sources, { id, name, bytes, variable, plan, state }: FileJob): Promise<FileOutcome> {
    const fail = (problem: string): FileOutcome => ({ ok: false, problem, taken: 0, bad: [], more: 0 });
    const columns = columnsOf(variable);
    let lines: readonly string[][];
    try {
      lines = linesOfFile(name, textOfFile(bytes));
    } catch (error) {
      return fail(messageOf(error));
    }
    const problem = planProblem(plan, lines[0] ?? [], columns);
    if (problem) return fail(problem);
    const read = importLines(lines, plan, {
      columns,
      rows: initialRows(rows.withAllRows(id, variable)),
      state: state.map((each) => rows.withAllRows(id, each)),
    });
    if (read.rows.length > mostTableRows)
      return fail(
        `A table has at most ${mostTableRows} rows; with the file it would have ${read.rows.length}.`,
      );
    const told = {
      taken: read.taken,
      bad: read.bad.slice(0, mostBad),
      more: Math.max(0, read.bad.length - mostBad),
    };
    return read.bad.length > 0 && !plan.onlyGood
      ? { ...told, ok: false }
      : { ...told, ok: true, columns: read.columns, rows: pack(read.rows) };
  },

  /** The rows of a table after a change of a column. */
  async rewritten(
    { rows }: Sources,
    { id, table, change }: TableJob & { readonly change: Rewriting },
  ): Promise<PackedRows> {
    return pack(rows.rows(id, table).map((row) => rewrittenRow(row, change)));
  },

  /** The rows of a table as a file. */
  async rowsAs(
    { rows }: Sources,
    {
      id,
      table,
      as,
      columns,
    }: TableJob & { readonly as: 'csv' | 'json'; readonly columns: readonly Column[] },
  ): Promise<string> {
    const all = rows.rows(id, table);
    return as === 'csv' ? csvOf(columns, all) : JSON.stringify(all, undefined, 1);
  },
};

export type Jobs = typeof jobs;
/** What a job is given. */
export type Given<J extends keyof Jobs> = Parameters<Jobs[J]>[1];
/** What comes of it. */
export type Outcome<J extends keyof Jobs> = Awaited<ReturnType<Jobs[J]>>;
