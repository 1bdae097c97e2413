/** The words of a project: where they stand, what they are in other languages, and their way out and back. */
export {
  isRightToLeft,
  type Locale,
  mostLocales,
  type Translation,
  tagProblem,
} from '../document/locale.ts';
export { isStringsFile, stringsFile } from '../source/string-files.ts';
export { translationsCarried } from './carrying.ts';
export { translationFault } from './faults.ts';
export { stringFormatOf, stringFormats } from './formats/index.ts';
export type { StringFormat, StringTable, TableReading, TravellingString } from './formats/string-format.ts';
export { inLocale, translatedLocale } from './in-locale.ts';
export { type StandingWords, textsOf, type WordsPlace } from './places.ts';
export { mostRoom, type Room, roomFor } from './room.ts';
export { sharedName, sharedWords } from './shared.ts';
export { sharedUses } from './shared-reads.ts';
export {
  nameForShared,
  placesToShare,
  renamingShared,
  sharedNameProblem,
  sharing,
  translatedApart,
} from './sharing.ts';
export { type StringRow, type StringState, stringRows, translating } from './table.ts';
export { type Arrival, arriving, tableOf } from './travelling.ts';
