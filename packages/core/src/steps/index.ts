/** Steps, the only way to change a document, and what makes them. */
export {
  type AlignEdge,
  type AlignTarget,
  type Arranged,
  alignControls,
  mainAxisOf,
  sameSize,
  shiftPin,
  shiftPins,
  spaceOut,
} from './align.ts';
export { entitiesAdded, entityNamed, keysToChange, underOtherKeys } from './another-key.ts';
export type { Renamed } from './applied.ts';
export { type ChangesGo, changesFrom, removeBand, renameBand, setBand } from './bands.ts';
export { changeKind } from './change-kind.ts';
export {
  newComponent,
  renameDeclared,
  resetInstance,
  screensWith,
  swapInstance,
  usesOfComponent,
} from './components.ts';
export {
  copyFor,
  keptInNew,
  nameControl,
  newControl,
  newScreen,
  renameState,
  renameTree,
  typedNowValid,
  valueTyped,
} from './edits.ts';
export { changing, dropping, putting } from './entities.ts';
export { expectationOf, isExpected } from './expectation.ts';
export {
  emptyHistory,
  type History,
  type HistoryPart,
  historyAfter,
  historyOf,
  type LogEntry,
} from './history.ts';
export {
  longestBatch,
  longestEntry,
  longestGroup,
  mostEntriesOfBatch,
  mostStepsOfEntry,
  shortLabel,
} from './limits.ts';
export {
  type Appended,
  entryLength,
  entryProblem,
  type HistoryEntry,
  type Refusal,
  type SentEntry,
  type StoredEntry,
  sendingProblem,
} from './log.ts';
export { mergeAll } from './merge.ts';
export {
  easedKeys,
  type KeyWanted,
  keyed,
  motionLines,
  newMotion,
  recorded,
  repeatedKeys,
  retimed,
  timeText,
} from './motions.ts';
export { newestSteps } from './older-steps.ts';
export { settingProject } from './project-value.ts';
export { convertUnits, percentBasis } from './px-percent.ts';
export { renamingOf } from './rename.ts';
export { renamingColumn } from './rename-column.ts';
export { replaceSteps, type TextPlace, textPlaces } from './replace-text.ts';
export { type PlacedRow, type RowEdit, type RowsStep, rowSteps } from './rows.ts';
export { scoped } from './scope.ts';
export { prefixesOfScope, scopeOf, scopeParts } from './scope-parts.ts';
export { ownId, saidAt, sourceId, stepsInSource } from './source-steps.ts';
export { applyStep, applySteps, mapStep, type Step, stepProblem, touchedBy } from './step.ts';
export {
  giveStyle,
  intoStyle,
  makeStyle,
  type RecurringLook,
  recurringLooks,
  type StyleValues,
  sharedValues,
  styledValues,
  unusedStyles,
} from './styling.ts';
export {
  type Aspect,
  giveTo,
  type PartOfLook,
  partsOfLook,
  sameLook,
  type Taken,
  takeFrom,
} from './take-over.ts';
export { type TokenUsers, usersOfToken, usesOfStyle, usesOfToken, withToken } from './token-uses.ts';
export { topmost, unwrap, wrapIn } from './wrap.ts';
