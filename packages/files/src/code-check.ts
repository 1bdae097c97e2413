/** What the compiler of TypeScript says about a project's own code, where its packages are installed. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { codeTypesText, type Project } from '@hovrin/core';
import { type CodeProblem, codeService } from '@hovrin/core/code-service';
import { workspace } from './fonts.ts';

/** A problem with the line and the column that it is at, both from 1. */
export interface PlacedCodeProblem extends CodeProblem {
  readonly line: number;
  readonly column: number;
}

/** Checks the code of a project. The compiler is loaded when there is any. */
export async function checkCode(project: Project): Promise<readonly PlacedCodeProblem[]> {
  const { code = [] } = project;
  if (code.length === 0) return [];
  const { default: ts } = await import('typescript-js');
  const libs = join(workspace, 'node_modules/typescript-js/lib');
  const service = codeService(ts, (name) => {
    try {
      return readFileSync(join(libs, name), 'utf8');
    } catch {
      // The compiler also asks for files that there are none of.
      return undefined;
    }
  });
  service.set(code, codeTypesText(project));
  return service.problems().map((problem) => {
    const text = code.find(({ name }) => name === problem.module)?.text ?? '';
    const before = text.slice(0, problem.from).split('\n');
    return { ...problem, line: before.length, column: (before.at(-1)?.length ?? 0) + 1 };
  });
}
