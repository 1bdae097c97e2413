/** Comparing two versions of a project, for those who ask the core. */

export type { Checkpoint, ToldChange } from '../steps/told.ts';
export {
  type Comparison,
  comparedScreens,
  compareProjects,
  isAlike,
  type TreeComparison,
} from './compare.ts';
export { comparisonLines, widthsWords } from './compare-words.ts';
export {
  attributeWords,
  type ControlChange,
  type TreeChanges,
  treeChanges,
} from './control-changes.ts';
export { compareWidths, type Movement, type WidthsCompared } from './differing-widths.ts';
export type { EntityChange } from './entity-changes.ts';
