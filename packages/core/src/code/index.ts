/** The project's own code, for those who ask the core; what the compiler knows of it is `code-service.ts`. */
export {
  type CodeModule,
  handlersModule,
  longestModule,
  moduleFile,
  moduleNameProblem,
  pageModule,
} from '../document/code.ts';
export { codeTypesText, ownCodeFile } from '../export/own-code.ts';
export { ownCode } from '../expression/own-code.ts';
export { type OwnFunction, ownFunctionsOf, ownHandlersOf } from '../expression/own-functions.ts';
export { isCodeFile } from '../source/code-files.ts';
