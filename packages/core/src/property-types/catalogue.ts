/** All types of properties, one line a file; what is not listed here cannot follow an expression on a running page. */

export {
  alignType,
  cellAlignType,
  chartType,
  edgeType,
  familyType,
  fitType,
  flagType,
  justifyType,
  likeType,
  lineUpType,
  navFormType,
  paneType,
  scrollAxisType,
  textAlignType,
  toneType,
  weightType,
} from './choices.ts';
export { anyType, chosenType, entriesType, listType, placesType, rangesType } from './lists.ts';
export { dateType, timeType } from './moments.ts';
export { destinationType, iconType, identifierType, pictureType } from './names.ts';
export {
  amountType,
  charactersType,
  factorType,
  gridLineType,
  lengthType,
  letterSpacingType,
  levelType,
  linesType,
  offsetType,
  orderType,
  secondsType,
  spanType,
  textSizeType,
  turnType,
} from './numbers.ts';
export { gapsType, lengthsType, marginType } from './sides.ts';
export { aspectType, limitType, pinType, pointType, ratioType, sizeType } from './sizes.ts';
export { colourType, textType } from './texts.ts';
export { flowType, trackListType, trackPatternType } from './tracks.ts';
