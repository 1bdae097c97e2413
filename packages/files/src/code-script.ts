/** The script of a project's own code: its modules without types, joined so that a page opened from disk can load them. */
import { type CodeModule, handlersModule, messageOf, moduleFile, pageModule } from '@hovrin/core';
import { transform } from 'sucrase';

/** The body of a module as a function's, by CommonJS; where it cannot be read, what says so. */
function bodyOf({ name, text }: CodeModule): string {
  try {
    return transform(text, {
      transforms: ['typescript', 'imports'],
      filePath: moduleFile(name),
      production: true,
      disableESTransforms: true,
    }).code;
  } catch (error) {
    return `throw new SyntaxError(${JSON.stringify(messageOf(error).replace(/^Error transforming [^:]*: /, ''))});`;
  }
}

const indented = (text: string): string => text.trim().replace(/^(?=.)/gm, '    ');

/** What a module gets for `hovrin`: the page, which starts behind this script. */
const page = `{
    state: new Proxy({}, {
      get: (_, name) => hovrinPage.get(name),
      set: (_, name, value) => hovrinPage.set(name, value) || true,
    }),
    subscribe: (...given) => hovrinPage.subscribe(...given),
    go: (...given) => hovrinPage.go(...given),
    message: (...given) => hovrinPage.message(...given),
    setSecret: (...given) => hovrinPage.setSecret(...given),
  }`;

/** Makes the script. Modules are read in turn; one that fails leaves the others as they are, and is told of. */
export function codeScript(modules: readonly CodeModule[]): string {
  const bodies = modules.map(
    (module) =>
      `  ${JSON.stringify(module.name)}(exports, require) {\n    'use strict';\n${indented(bodyOf(module))}\n  },\n`,
  );
  return `/* The code of the project. */
{
  const page = ${page};
  const modules = {
${bodies.join('').replace(/^(?=.)/gm, '  ')}  };
  const read = new Map();
  const require = (path) => {
    if (path === '${pageModule}') return page;
    const name = path.replace(/^\\.\\/|\\.[jt]s$/g, '');
    if (!Object.hasOwn(modules, name)) throw new Error(\`there is no file of code \${path}.\`);
    let exports = read.get(name);
    if (!exports) {
      read.set(name, (exports = {}));
      modules[name](exports, require);
    }
    return exports;
  };
  const functions = {};
  const problems = [];
  for (const name of Object.keys(modules))
    try {
      if (name === '${handlersModule}') window.handlers = { ...window.handlers, ...require(name) };
      else Object.assign(functions, require(name));
    } catch (error) {
      problems.push(\`code/\${name}.ts: \${error.message}\`);
    }
  window.hovrinCode = { functions, problems };
}
`;
}
