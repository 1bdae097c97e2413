/** A format in which strings go out to those who translate, and come back: one file a format, one line in `index.ts`. */
import type { SourceProblem } from '../../source/problem.ts';

/** A text on its way. */
export interface TravellingString {
  readonly key: string;
  /** The source text that it is, or was, made from. */
  readonly source: string;
  /** Empty: not translated yet. */
  readonly text: string;
  readonly note?: string;
}

/** The strings of a language. */
export interface StringTable {
  /** Tags of BCP 47. */
  readonly from: string;
  readonly to: string;
  readonly strings: readonly TravellingString[];
}

/** A file of strings that was read: texts that can be taken, and problems line by line. */
export interface TableReading {
  /** Languages, where the file says them. */
  readonly from?: string | undefined;
  readonly to?: string | undefined;
  readonly strings: readonly TravellingString[];
  readonly problems: readonly SourceProblem[];
}

export interface StringFormat {
  readonly id: string;
  readonly label: string;
  /** Ends of file names, with their dots; the first one is written. */
  readonly endings: readonly string[];
  print(table: StringTable): string;
  /** @param file what problems call it. */
  read(text: string, file: string): TableReading;
}
