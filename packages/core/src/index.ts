/**
 * The heart of Hovrin, in reading order: the document and its kinds, the steps that change it, its source text,
 * its layout, its expressions and their running, and what it is exported to.
 */
export { arrangeBoard, usualNoise } from './arranging/arrange.ts';
export { attributeNames, conditionsOf, propertyOf } from './cascade/attributes.ts';
export { allSaidOf, defaultText, propertiesOf, type Said } from './cascade/cascade.ts';
export { declaredStates } from './cascade/own-states.ts';
export { arrangementsOf, plainArrangement } from './cascade/plain-values.ts';
export { themeOf } from './cascade/project-theme.ts';
export { repetitionOf } from './cascade/repetition.ts';
export type { HeldStates } from './cascade/states-now.ts';
export { Values } from './cascade/values.ts';
export { checkNamed, checks } from './checks/catalogue/index.ts';
export { changesOf, everywhere, withoutChange } from './checks/changes.ts';
export {
  boxesToCheck,
  type CheckOptions,
  type CheckStep,
  checkAll,
  checkScreen,
  usualCheck,
} from './checks/check.ts';
export { type Finding, findingKey, type Severity } from './checks/finding.ts';
export { ignoredOf, ignoreStep } from './checks/ignored.ts';
export { type ColourPair, colourPairs } from './checks/pairs.ts';
export { whereWords } from './checks/sentences.ts';
export { type UnusedFinding, unusedIn, unusedTitles, unusedTokens } from './checks/unused.ts';
export * from './code/index.ts';
export { bands } from './collections/bands.ts';
export { addCollection, collectionOf, entitiesOf } from './collections/catalogue.ts';
export { migrated } from './collections/migrations.ts';
export { projectProblem } from './collections/project-problem.ts';
export {
  type ProjectValueKey,
  projectValueOf,
  projectValueProblem,
  projectValues,
} from './collections/project-values.ts';
export * from './compare/index.ts';
export { lengthCss } from './css/lengths.ts';
export { deltaOf, type ProjectDelta, withDelta } from './document/delta.ts';
export { messageOf } from './document/error-message.ts';
export {
  calledOrigins,
  type FeedStatus,
  feedSeconds,
  isFeedAddress,
  isOnPagesServer,
  silentAfter,
  standInFolder,
} from './document/feed.ts';
export {
  configFile,
  type PageConfig,
  readPageConfig,
} from './document/feed-config.ts';
export { type Folder, folderOf } from './document/folder.ts';
export { forbiddenKeys } from './document/forbidden-keys.ts';
export {
  type BadLine,
  guessColumns,
  type Import,
  type ImportMode,
  type ImportPlan,
  importLines,
  importModes,
  planProblem,
} from './document/import.ts';
export type { MapPlace } from './document/map-place.ts';
export { isInMenu, menuOf, splashOf } from './document/menu.ts';
export {
  componentNameProblem,
  controlNameProblem,
  effectiveNames,
  freeName,
  freshName,
  nameProblem,
  treeNameProblem,
  valueNameProblem,
} from './document/names.ts';
export { didYouMean } from './document/nearest.ts';
export { type Rewriting, rewrittenRow } from './document/rewriting.ts';
export { asksNothing, orderOfRows, type RowQuestion } from './document/row-order.ts';
export { same } from './document/same.ts';
export { spoken } from './document/spoken.ts';
export { countValues, emptyValues, fitting, mostValues } from './document/state.ts';
export {
  countOf,
  firstRows,
  initialRows,
  isBatch,
  mostTableRows,
  type RowBatch,
  type RowSet,
  rowCount,
  withRows,
} from './document/stored-table.ts';
export { type Style, styleKey, styleNames } from './document/style-set.ts';
export {
  cellKey,
  cellText,
  columnRoles,
  columnsOf,
  columnTypes,
  type Row,
  readCell,
  rowsOf,
  tableProblems,
} from './document/table.ts';
export { csvOf, isJsonFile, linesOfFile, lineWords, textOfFile } from './document/table-file.ts';
export {
  isExpectation,
  plainControl,
  type Task,
  type TaskStep,
  taskNameProblem,
  taskStepWords,
} from './document/task.ts';
export {
  type Json,
  type Mode,
  modes,
  type Token,
  type TokenType,
  tokenName,
  tokenPathProblem,
  tokenTypes,
} from './document/token.ts';
export { type Transition, type TransitionName, transitions } from './document/transitions.ts';
export {
  contains,
  locate,
  locationOf,
  locationsIn,
  type Placed,
  pathTo,
  placedAt,
  treeOfId,
  walk,
} from './document/tree.ts';
export {
  type Asset,
  asTyped,
  type Band,
  type Column,
  type ColumnType,
  type Control,
  defaultBands,
  type Feed,
  inForce,
  isDialog,
  type Project,
  type PropertyValue,
  projectFormat,
  type Reference,
  type StateType,
  type StateVariable,
  type StoredTable,
  startScreen,
  type TreeList,
  treesOf,
} from './document/types.ts';
export { asBegun } from './export/as-begun.ts';
export { exporterNamed, exporters } from './export/catalogue.ts';
export type { Exported, Exporter, ExportParts } from './export/exporter.ts';
export { charactersToCut } from './export/fonts-in-use.ts';
export { pieceNames } from './export/pieces.ts';
export { actions, alterings, askings } from './expression/actions/catalogue.ts';
export { followedBy } from './expression/address.ts';
export {
  type ActionCard,
  type CardField,
  type CardList,
  cardText,
  readCards,
  sentenceOf,
  turned,
  withCards,
  withPiece,
} from './expression/cards.ts';
export { checkTemplate } from './expression/check.ts';
export { checkComputed } from './expression/computed.ts';
export { asText } from './expression/evaluate.ts';
export { addressAtStart } from './expression/feed-address.ts';
export { initialScope } from './expression/initial-scope.ts';
export { parseExpression, parseStatements } from './expression/parse.ts';
export { type RangeStop, type Ranges, rangesText, readRanges } from './expression/ranges.ts';
export {
  escapeBraces,
  hasExpression,
  parseTemplate,
  type TemplatePiece,
  templatePieces,
} from './expression/template.ts';
export {
  type FocusStop,
  focusJumps,
  focusOrder,
  focusOrderSteps,
  hasFocusTurns,
} from './focus/focus-order.ts';
export { iconSet } from './icons/icon-set.ts';
export { confinesProblem, kindNamed, kindOf, kinds, takesInside } from './kinds/catalogue.ts';
export { componentKinds } from './kinds/component.ts';
export type { EventEntry, Kind, Property, PropertyGroup } from './kinds/kind.ts';
export { mannerOf } from './kinds/manner.ts';
export { whatItDoes } from './kinds/sentences.ts';
export { statesOf } from './kinds/states.ts';
export {
  type Clash,
  clashesOf,
  type Kit,
  kitEnding,
  kitOf,
  newPictures,
  printKit,
  readKit,
} from './kits/kit.ts';
export { type ClashChoice, kitSteps } from './kits/kit-steps.ts';
export { passOf } from './layout/engine.ts';
export { halfOpen } from './layout/folded-screen.ts';
export { type LayoutInPlace, layoutInPlace } from './layout/in-place.ts';
export type { TrackSpan } from './layout/laid.ts';
export { outlineOf, type Rectangle } from './layout/rectangle.ts';
export {
  type Hinge,
  type Insets,
  itemName,
  layOutRoot,
  namedBoxes,
  type ScreenBox,
  type ScreenLayout,
  ScreenView,
  type View,
} from './layout/screen-layout.ts';
export { boxesFor, ViewBoxes } from './layout/view-boxes.ts';
export { cellsOfTable } from './making/cells.ts';
export { newDialog } from './making/dialog.ts';
export { makeEdited } from './making/edited.ts';
export { makeForm } from './making/form.ts';
export { makeList } from './making/list.ts';
export { makeListWithDetail } from './making/list-with-detail.ts';
export { listName, type Made } from './making/maker.ts';
export { questionsOf, questionsOfSchema, type SchemaReading } from './making/questions.ts';
export { namesReferred } from './making/referring.ts';
export { makeTable } from './making/table.ts';
export { type Bindable, placesToBind } from './meaning/bindable.ts';
export { type ColumnPlace, followersOfColumn, usesOfColumn } from './meaning/column-uses.ts';
export { type DependencyMap, dependencyMap, type MapNode } from './meaning/dependencies.ts';
export { type Handler, handlersOf, handlersText, referenceText } from './meaning/handlers.ts';
export {
  handlersAtHand,
  type MissingHandler,
  missingHandlers,
} from './meaning/handlers-at-hand.ts';
export { longTextLocale, longTexts } from './meaning/long-text.ts';
export { attributeProblems } from './meaning/problems.ts';
export { contextOf, knownOn, readAttributeText } from './meaning/property-text.ts';
export {
  numbersOf,
  type Readable,
  type ReadableBranch,
  readableAt,
  readableTree,
  sampleOf,
} from './meaning/readable.ts';
export {
  inSample,
  manyRows,
  type SampleCondition,
  sampleConditions,
  sampleWords,
} from './meaning/sample-condition.ts';
export { sourceNameProblem, stateNameProblem } from './meaning/state-names.ts';
export { type StateUse, usesOfState } from './meaning/state-uses.ts';
export { styleNameProblem, stylesOfKind } from './meaning/style-values.ts';
export * from './motion/index.ts';
export { cleanSvg } from './picture/clean-svg.ts';
export {
  type PaintedShape,
  type PaintedWords,
  type PhysicalSides,
  physicalSides,
  picturesIn,
  shapesOf,
  wordsOf,
} from './picture/painting.ts';
export { carriedFonts, fontFilesOf, pictureOf } from './picture/svg.ts';
export { problemKinds } from './problems/catalogue/index.ts';
export { type Problem, type ProblemPlace, problemPlaceWords } from './problems/problem.ts';
export { problemsOf } from './problems/problems.ts';
export { entriesType, withEntryLabel } from './property-types/lists.ts';
export { transitionWords } from './property-types/looks.ts';
export type { FieldForm } from './property-types/property-type.ts';
export { alikeTo, type Standing } from './recurring/alike.ts';
export { detach } from './recurring/detach.ts';
export { makeComponent, type Wanted } from './recurring/make-component.ts';
export { type ComponentPlan, componentPlan, type PlannedParameter } from './recurring/plan.ts';
export { followed, type ListChoice, listsAt, repeatFor } from './recurring/repeat-for.ts';
export { makeSurround, type SurroundPlan, surroundPlan } from './recurring/surround.ts';
export { toParameter } from './recurring/to-parameter.ts';
export * from './requests/authoring.ts';
export { inCase } from './reuse/cases.ts';
export {
  assignableIn,
  circleOf,
  type Definition,
  declaredNameProblem,
  definitionOf,
  definitionsOf,
  type Parameter,
  parameterNameProblem,
  type SampleCase,
} from './reuse/definition.ts';
export { type Expanded, expandedOn, expandedProject, expansionOf } from './reuse/expand.ts';
export { instanceKindsOf, isInstance, kindIn } from './reuse/instance-kinds.ts';
export { namesOn } from './reuse/names.ts';
export { readsOf } from './reuse/reads.ts';
export { printFolder, readFolder, type StoredRows, screenNameOf } from './source/folder.ts';
export { stepsToText } from './source/merge-text.ts';
export { parseScreen } from './source/parse.ts';
export { parseComponent } from './source/parse-component.ts';
export { printScreen } from './source/print.ts';
export { problemLine, type SourceProblem } from './source/problem.ts';
export { untitled } from './source/project-file.ts';
export { elementAt, elementSpans } from './source/spans.ts';
export { styleFile } from './source/style-file.ts';
export { isTaskFile } from './source/task-files.ts';
export { printTokenFiles, readTokenFiles, tokenFiles } from './source/token-files.ts';
export * from './steps/index.ts';
export { entryOf, isOneOf, itemAt, keysOf, numberAt } from './sure.ts';
export type { Change } from './sweep/change.ts';
export { causeRank, sweepChangeWords, toldChanges } from './sweep/change-words.ts';
export { boxAt } from './sweep/stretch.ts';
export { type SweepOptions, type SweepPart, sweep } from './sweep/sweep.ts';
export { type FontManifest, fontFaceRules, type PackedFonts } from './text/fonts.ts';
export type { Letters } from './text/places.ts';
export {
  type ColourRamp,
  type LengthScale,
  mostInScale,
  rampColours,
  rampTokens,
  scaleLengths,
  scaleTokens,
} from './tokens/scales.ts';
export { colourRoles, shippedTokens } from './tokens/shipped.ts';
export { type ShippedTheme, shippedThemes } from './tokens/shipped-themes.ts';
export { contrastOf, type InSrgb, inSrgb, over, reaching } from './tokens/srgb.ts';
export { colourValue, readTypedValue, typedText } from './tokens/typed-value.ts';
export { roundedBy } from './values/corners.ts';
export { fillText, gradientText, shadowText } from './values/fill-text.ts';
export { type FillLayer, fillLayers, type Gradient, type Place, type Stop } from './values/fills.ts';
export { focusRingOffset, focusRingWidth } from './values/focus-ring.ts';
export { backgroundCss, layersIn, lookCss } from './values/look-css.ts';
export { type Shadow, shadowsIn } from './values/shadows.ts';
export { colourIn, hueProperties, type Theme } from './values/theme.ts';
export { joinedTracks, trackTexts } from './values/track-list.ts';
export * from './ways/index.ts';
export { questions, Why } from './why/explain.ts';
export type { Explanation, Fix, Question, Source, Term, Working } from './why/explanation.ts';
export * from './words/index.ts';
