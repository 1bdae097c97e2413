/**
 * What is worked out beside the server, in a thread that can be ended: pages, files of rows, zips. The thread that
 * stores answers meanwhile. Each job is a function of plain data; it reads rows and pictures from the database itself.
 */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { deflateSync } from 'node:zlib';
import {
  type Column,
  csvOf,
  type Exported,
  entryOf,
  expandedProject,
  exporterNamed,
  firstRows,
  inSample,
  itemAt,
  longTexts,
  mostTableRows,
  type Project,
  type Rewriting,
  type Row,
  readTableFile,
  rewrittenRow,
  type SampleCondition,
  type StateVariable,
} from '@hovrin/core';
import {
  drawScreen,
  filesOf,
  fontFolder,
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

/** Most problems of a file that are told. */
const mostSaid = 200;

export type FileOutcome =
  | { readonly ok: true; readonly columns: readonly Column[]; readonly rows: PackedRows }
  | { readonly ok: false; readonly said: readonly string[]; readonly more: number };

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
  /** The file, UTF-8. */
  readonly bytes: Uint8Array;
  readonly columns: readonly Column[];
  /** Where what they refer to is found. */
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
    for (const font of page.fonts)
      files[`fonts/${font}`] = [await readFile(join(fontFolder, font)), { level: 0 }];
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
  async file({ rows }: Sources, { id, name, bytes, columns, state }: FileJob): Promise<FileOutcome> {
    const text = new TextDecoder().decode(bytes);
    const whole = state.map((each) => rows.withAllRows(id, each));
    const reading = readTableFile(name, text, columns, whole);
    if (!reading.ok) {
      const { said } = reading;
      return { ok: false, said: said.slice(0, mostSaid), more: Math.max(0, said.length - mostSaid) };
    }
    return reading.rows.length > mostTableRows
      ? {
          ok: false,
          said: [`A table has at most ${mostTableRows} rows; the file has ${reading.rows.length}.`],
          more: 0,
        }
      : { ok: true, columns: reading.columns, rows: pack(reading.rows) };
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
