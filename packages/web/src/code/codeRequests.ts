/** What the compiler beside the interface is asked, and what it answers. */
import type { CodeModule } from '@hovrin/core';
import type { CodeAbout, CodeCompletion, CodeProblem } from '@hovrin/core/code-service';

interface Modules {
  readonly modules: readonly CodeModule[];
  readonly types: string;
}

interface Place {
  readonly module: string;
  readonly at: number;
}

/** Questions, with what each is asked with and what comes back. */
export interface CodeQuestions {
  readonly problems: { readonly with: Modules; readonly gives: readonly CodeProblem[] };
  readonly complete: { readonly with: Modules & Place; readonly gives: readonly CodeCompletion[] };
  readonly about: { readonly with: Place; readonly gives: CodeAbout | undefined };
}

export type CodeQuestion = keyof CodeQuestions;

export type CodeRequest = {
  readonly [Ask in CodeQuestion]: { readonly id: number; readonly ask: Ask } & CodeQuestions[Ask]['with'];
}[CodeQuestion];

export interface CodeAnswer {
  readonly id: number;
  readonly result: CodeQuestions[CodeQuestion]['gives'];
}

/** Asks the compiler; it lives until it is ended. */
export class Compiler {
  readonly #worker = new Worker(new URL('./codeWorker.ts', import.meta.url), { type: 'module' });
  readonly #waiting = new Map<number, (result: never) => void>();
  #count = 0;

  constructor() {
    this.#worker.onmessage = ({ data: { id, result } }: MessageEvent<CodeAnswer>) => {
      this.#waiting.get(id)?.(result as never);
      this.#waiting.delete(id);
    };
  }

  ask<Ask extends CodeQuestion>(
    ask: Ask,
    given: CodeQuestions[Ask]['with'],
  ): Promise<CodeQuestions[Ask]['gives']> {
    const id = ++this.#count;
    const answered = new Promise<CodeQuestions[Ask]['gives']>((resolve) => this.#waiting.set(id, resolve));
    this.#worker.postMessage({ id, ask, ...given });
    return answered;
  }

  end(): void {
    this.#worker.terminate();
  }
}
