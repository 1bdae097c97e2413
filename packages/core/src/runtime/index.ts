/** What a running page needs of the core: no parser, no layout, no fonts. */

export { convert, Values } from '../cascade/values.ts';
export {
  colourDeclarations,
  type Declarations,
  declarations,
  partDeclarations,
  withoutParts,
} from '../css/declarations.ts';
export { withoutFirstValue } from '../css/first-value.ts';
export { type FeedStatus, isOnPagesServer, silentAfter, standInFolder } from '../document/feed.ts';
export {
  type ConfiguredFeed,
  type ConfiguredSource,
  configFile,
  configuredAddress,
  type PageConfig,
} from '../document/feed-config.ts';
export { forPeople } from '../document/for-people.ts';
export { languageFor } from '../document/language-for.ts';
export { isSameRow, keyOf, markOf } from '../document/row-identity.ts';
export { isPlain } from '../document/state.ts';
export { type TaskStep, taskStepWords } from '../document/task.ts';
export type { Feed, StateValue } from '../document/types.ts';
export type { Acting } from '../expression/actions/action.ts';
export type { Expression } from '../expression/ast.ts';
export { sharingBudget } from '../expression/budget.ts';
export { asText, EvaluationError, evaluate } from '../expression/evaluate.ts';
export { addFunctions, addPatterns } from '../expression/functions.ts';
export { itemPlace } from '../expression/item-scope.ts';
export { bandAt, clockOf, type ViewName, type ViewValue } from '../expression/view-names.ts';
export { symbolId } from '../icons/symbol-id.ts';
export type { CarryingPart, MadeAnew, Manner, PageElement, PageTarget } from '../kinds/kind.ts';
export { addressTo } from '../kinds/link.ts';
export { longList, mostItems } from '../kinds/list-lengths.ts';
export { arrangementNow } from '../kinds/manner.ts';
export { manners } from '../kinds/on-page.ts';
export { wordsInstead } from '../kinds/repeat-words.ts';
export { tabindex, withTurn } from '../kinds/tabindex.ts';
export { nextSort, sortedRows, type TableRow } from '../kinds/table-rows.ts';
export { propertyTypes } from '../property-types/catalogue.ts';
export { addStatements } from './carrying-out.ts';
export * from './difference.ts';
export type { Host } from './host.ts';
export * from './item-frame.ts';
export * from './program.ts';
export * from './runtime.ts';
export * from './told-trace.ts';
export type { Origin, Trace, TraceSort } from './trace.ts';
