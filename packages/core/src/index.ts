/**
 * The heart of Hovrin, in reading order: the document and its kinds, the steps that change it, its source text,
 * its layout, its expressions and their running, and what it is exported to.
 */

export * from './arranging/arrange.ts';
export * from './cascade/attributes.ts';
export * from './cascade/cascade.ts';
export { arrangementsOf, plainArrangement } from './cascade/plain-values.ts';
export { themeOf } from './cascade/project-theme.ts';
export * from './cascade/repetition.ts';
export * from './cascade/values.ts';
export { checkNamed, checks } from './checks/catalogue/index.ts';
export * from './checks/changes.ts';
export * from './checks/check.ts';
export * from './checks/finding.ts';
export * from './checks/heights.ts';
export * from './checks/ignored.ts';
export { whereWords } from './checks/sentences.ts';
export * from './collections/bands.ts';
export * from './collections/catalogue.ts';
export * from './collections/collection.ts';
export * from './collections/migrations.ts';
export * from './collections/project-problem.ts';
export { stateVariables } from './collections/state-variables.ts';
export * from './document/delta.ts';
export * from './document/feed.ts';
export { forbiddenKeys } from './document/forbidden-keys.ts';
export * from './document/names.ts';
export { didYouMean, nearest } from './document/nearest.ts';
export { isRecord } from './document/record.ts';
export * from './document/rewriting.ts';
export * from './document/row-order.ts';
export * from './document/same.ts';
export { spoken } from './document/spoken.ts';
export * from './document/state.ts';
export * from './document/stored-table.ts';
export * from './document/table.ts';
export * from './document/table-file.ts';
export * from './document/tree.ts';
export * from './document/types.ts';
export { exporterNamed, exporters } from './export/catalogue.ts';
export type { Exported, Exporter, ExportParts } from './export/exporter.ts';
export { pictureAddress } from './export/html.ts';
export type { Acting, Action, Altering, CardFieldKind } from './expression/actions/action.ts';
export { actionNamed, actions, alterings } from './expression/actions/catalogue.ts';
export * from './expression/address.ts';
export { sharingBudget } from './expression/budget.ts';
export * from './expression/cards.ts';
export * from './expression/check.ts';
export { checkComputed, sourcesOf } from './expression/computed.ts';
export { asText, EvaluationError, evaluate, evaluateTemplate, type Scope } from './expression/evaluate.ts';
export * from './expression/feed-address.ts';
export { initialScope } from './expression/initial-scope.ts';
export * from './expression/names.ts';
export { parseExpression, parseStatements } from './expression/parse.ts';
export * from './expression/ranges.ts';
export * from './expression/template.ts';
export * from './focus/focus-order.ts';
export { iconSet } from './icons/icon-set.ts';
export * from './kinds/catalogue.ts';
export type {
  Drawing,
  EventEntry,
  Gauge,
  Inside,
  Kind,
  Look,
  PageElement,
  Property,
  PropertyGroup,
} from './kinds/kind.ts';
export { mannerOf } from './kinds/manner.ts';
export { passOf } from './layout/engine.ts';
export * from './layout/folded-screen.ts';
export type { GridTracks, TrackSpan } from './layout/laid.ts';
export type { Topic } from './layout/record.ts';
export * from './layout/screen-layout.ts';
export * from './layout/view-boxes.ts';
export * from './making/cells.ts';
export * from './making/dialog.ts';
export * from './making/form.ts';
export * from './making/list.ts';
export * from './making/list-with-detail.ts';
export * from './making/maker.ts';
export * from './making/questions.ts';
export * from './making/table.ts';
export * from './meaning/dependencies.ts';
export * from './meaning/handlers.ts';
export * from './meaning/long-text.ts';
export * from './meaning/problems.ts';
export * from './meaning/property-text.ts';
export * from './meaning/readable.ts';
export * from './meaning/sample-condition.ts';
export { stateNameProblem } from './meaning/state-names.ts';
export * from './meaning/state-uses.ts';
export * from './meaning/validate.ts';
export * from './picture/clean-svg.ts';
export * from './picture/svg.ts';
export type { FieldForm, PropertyType } from './property-types/property-type.ts';
export * from './source/folder.ts';
export * from './source/merge-text.ts';
export * from './source/parse.ts';
export * from './source/print.ts';
export * from './source/problem.ts';
export * from './source/project-file.ts';
export * from './source/spans.ts';
export * from './steps/align.ts';
export * from './steps/another-key.ts';
export * from './steps/bands.ts';
export * from './steps/change-kind.ts';
export * from './steps/edits.ts';
export * from './steps/entities.ts';
export * from './steps/expectation.ts';
export * from './steps/history.ts';
export * from './steps/limits.ts';
export * from './steps/log.ts';
export * from './steps/merge.ts';
export * from './steps/older-steps.ts';
export { longestProjectName } from './steps/project-value.ts';
export * from './steps/px-percent.ts';
export { renamingOf } from './steps/rename.ts';
export * from './steps/replace-text.ts';
export * from './steps/rows.ts';
export * from './steps/scope.ts';
export * from './steps/step.ts';
export * from './steps/take-over.ts';
export * from './steps/wrap.ts';
export type { Cause, Change } from './sweep/change.ts';
export * from './sweep/change-words.ts';
export { boxAt, type Stretch, type SweptBox } from './sweep/stretch.ts';
export * from './sweep/sweep.ts';
export * from './text/fonts.ts';
export * from './values/theme.ts';
export * from './why/explain.ts';
export * from './why/explanation.ts';
