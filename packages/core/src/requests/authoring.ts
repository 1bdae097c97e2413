/** What those need who build with services: types, what is wrong with them, asking one, and OpenAPI files. */
export { type AnswerShape, shapeAt } from '../document/answer-shape.ts';
export {
  type Answer,
  type Authentication,
  answerSeconds,
  type DataSource,
  idleAnswer,
  type Method,
  methods,
  mostRetries,
  type Pages,
  type ParameterType,
  pageWays,
  parameterPlaces,
  parameterTypes,
  pathNames,
  type RemoteTable,
  type Request,
  type RequestParameter,
} from '../document/source.ts';
export { isBase, requestProblem, sourceProblem } from '../document/source-problem.ts';
export { shapeWords } from './answer-words.ts';
export { type Answered, answered } from './answered.ts';
export { baseHere } from './base-here.ts';
export type { Exchanged } from './exchange.ts';
export { followedAtStart } from './followed.ts';
export { learnedShape } from './learned-shape.ts';
export { NotOpenApi, type OpenApiReading, type ReadRequest, readOpenApi } from './openapi.ts';
export { CannotAsk, type Outgoing, outgoing } from './outgoing.ts';
export { remoteGuess } from './remote-guess.ts';
export { sampleResult } from './sample-result.ts';
