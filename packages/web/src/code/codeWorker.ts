/** The compiler of TypeScript beside the interface: it checks and completes the project's own code, and runs none of it. */
import { type CodeService, codeService } from '@hovrin/core/code-service';
import ts from 'typescript-js';
import type { CodeAnswer, CodeRequest } from './codeRequests.ts';

const libs: Readonly<Record<string, string>> = import.meta.glob(
  '../../../../node_modules/typescript-js/lib/lib.{es5,es20*,decorators,decorators.legacy,dom,dom.iterable}*.d.ts',
  { query: '?raw', import: 'default', eager: true },
);
const libByName = new Map(
  Object.entries(libs).map(([path, text]) => [path.slice(path.lastIndexOf('/') + 1), text]),
);

let service: CodeService | undefined;

function answer(request: CodeRequest): CodeAnswer['result'] {
  service ??= codeService(ts, (name) => libByName.get(name));
  switch (request.ask) {
    case 'problems':
      service.set(request.modules, request.types);
      return service.problems();
    case 'complete':
      service.set(request.modules, request.types);
      return service.complete(request.module, request.at);
    case 'about':
      return service.about(request.module, request.at);
  }
}

self.onmessage = ({ data }: MessageEvent<CodeRequest>) => {
  self.postMessage({ id: data.id, result: answer(data) } satisfies CodeAnswer);
};
