/** The compiler beside the interface, for as long as somebody looks at code. */
import { codeTypesText, type Project } from '@hovrin/core';
import type { CodeProblem } from '@hovrin/core/code-service';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useLasting } from '../parts/useLasting.ts';
import { Compiler } from './codeRequests.ts';

/** Milliseconds that the code must rest before it is checked again. */
const rest = 250;

export interface Checked {
  /** What is wrong; undefined: the compiler is on its way. */
  readonly problems: readonly CodeProblem[] | undefined;
  readonly compiler: () => Compiler;
  /** The modules as they are now, with what a page offers them. */
  readonly now: () => { readonly modules: NonNullable<Project['code']>; readonly types: string };
}

const none: NonNullable<Project['code']> = [];

export function useCompiler(project: Project): Checked {
  const [problems, setProblems] = useState<readonly CodeProblem[]>();
  const compiler = useLasting(
    () => new Compiler(),
    (made) => made.end(),
  );
  const types = useMemo(() => codeTypesText(project), [project]);
  const newest = useRef({ modules: none, types });
  newest.current = { modules: project.code ?? none, types };
  const { code = none } = project;
  useEffect(() => {
    let isOld = false;
    const timer = setTimeout(async () => {
      const found = await compiler().ask('problems', { modules: code, types });
      if (!isOld) setProblems(found);
    }, rest);
    return () => {
      isOld = true;
      clearTimeout(timer);
    };
  }, [code, types, compiler]);
  return { problems, compiler, now: () => newest.current };
}
