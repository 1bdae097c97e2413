/** Ship: the project handed over as a page. */
import { type Exporter, exporters, problemPlaceWords, type Severity, startScreen } from '@hovrin/core';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { api } from '../api.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useHeld } from '../editor/held.ts';
import { useCommandKeys } from '../editor/keys.ts';
import { PlaceHeader } from '../PlaceHeader.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { ProblemLine } from '../problems/ProblemLine.tsx';
import { useProblems } from '../problems/useProblems.ts';
import { AboutPage } from './AboutPage.tsx';

export function ShipPlace() {
  const { editor } = useWorkplace();
  useCommandKeys(editor);
  const [state, setState] = useState<'ready' | 'working' | 'offline'>('ready');
  const download = async (address: string) => {
    setState('working');
    // What is handed over is what is shown: everything must have reached the server first.
    const settled = await editor.settled();
    setState(settled ? 'ready' : 'offline');
    if (!settled) return;
    const link = document.createElement('a');
    link.href = address;
    link.download = '';
    link.click();
  };

  return (
    <>
      <PlaceHeader title="Ship" />
      <main className="flex-1 overflow-auto p-6">
        <div className="mx-auto flex max-w-2xl flex-col gap-4">
          {exporters.map((exporter) => (
            <Format
              key={exporter.id}
              exporter={exporter}
              state={state}
              onDownload={() => void download(api.exportAddress(editor.projectId, exporter.id))}
            />
          ))}
          <ProblemsHere />
          <AboutPage />
          <section className="flex flex-col gap-3 rounded-md border border-rule bg-sheet p-5">
            <div>
              <h2 className="text-[15px] font-semibold">The project itself</h2>
              <p className="text-quiet">
                Its folder as one file: screens as XML,{' '}
                <span className="font-mono text-[12px]">project.json</span>, tables and pictures. It is
                brought in again from the list of projects.
              </p>
            </div>
            <div>
              <button
                type="button"
                className="btn"
                disabled={state === 'working'}
                onClick={() => void download(api.projectZipAddress(editor.projectId))}
              >
                <Download size={15} aria-hidden /> Take it out as a file
              </button>
            </div>
          </section>
          <p className="text-quiet">
            From a shell, with the project’s source folder:{' '}
            <code className="font-mono text-[12px] text-ink">npx hovrin export html FOLDER --out DIR</code>.
            The folder itself comes out of the file by{' '}
            <code className="font-mono text-[12px] text-ink">npx hovrin unpack FILE --out DIR</code>
          </p>
        </div>
      </main>
    </>
  );
}

/** Most problems that are listed here; all of them stand in Build. */
const mostListed = 8;

/** What is wrong with the project: it is handed over nonetheless, and nothing of it is hidden. */
function ProblemsHere() {
  const problems = useProblems();
  const goTo = useGoTo();
  const [, setDrawer] = useHeld<string | undefined>('drawer', undefined);
  if (!problems || problems.length === 0) return null;
  const count = (severity: Severity, one: string, many: string) => {
    const number = problems.filter((problem) => problem.severity === severity).length;
    return number === 0 ? [] : `${number} ${number === 1 ? one : many}`;
  };
  const counts = [
    count('error', 'error', 'errors'),
    count('warning', 'warning', 'warnings'),
    count('advice', 'piece of advice', 'pieces of advice'),
  ].flat();
  return (
    <section aria-label="Problems" className="flex flex-col gap-3 rounded-md border border-rule bg-sheet p-5">
      <div>
        <h2 className="text-[15px] font-semibold">Problems</h2>
        <p className="text-quiet">{counts.join(', ')}. What is handed over has them, too.</p>
      </div>
      <ul>
        {problems.slice(0, mostListed).map((problem) => (
          <ProblemLine key={`${problemPlaceWords(problem.place)} ${problem.sentence}`} problem={problem} />
        ))}
      </ul>
      <div>
        <button
          type="button"
          className="btn"
          onClick={() => {
            setDrawer('problems');
            goTo('');
          }}
        >
          {problems.length > mostListed ? `All ${problems.length} in Build` : 'Open them in Build'}
        </button>
      </div>
    </section>
  );
}

interface FormatProps {
  readonly exporter: Exporter;
  readonly state: 'ready' | 'working' | 'offline';
  readonly onDownload: () => void;
}

/** One format that the project is handed over in: what comes out, and the way to it. */
function Format({ exporter, state, onDownload }: FormatProps) {
  const { project } = useEditorState('project');
  return (
    <section className="flex flex-col gap-4 rounded-md border border-rule bg-sheet p-5">
      <div>
        <h2 className="text-[15px] font-semibold">{exporter.label}</h2>
        <p className="text-quiet">
          {project.screens.length} {project.screens.length === 1 ? 'screen' : 'screens'}, opening on{' '}
          {startScreen(project)?.name ?? 'none'}. {exporter.purpose}
        </p>
      </div>
      <dl className="divide-y divide-rule border-y border-rule">
        {exporter.contents.map(([file, words]) => (
          <div key={file} className="flex gap-4 py-1.5">
            <dt className="w-32 shrink-0 font-mono text-[12px]">{file}</dt>
            <dd className="text-quiet">{words}</dd>
          </div>
        ))}
      </dl>
      {state === 'offline' && (
        <p role="alert" className="text-brick">
          The server cannot be reached, so the newest changes would be missing. Try again when it is back.
        </p>
      )}
      <div>
        <button
          type="button"
          className="btn btn-main"
          disabled={state === 'working' || project.screens.length === 0}
          onClick={onDownload}
        >
          <Download size={15} aria-hidden /> {state === 'working' ? 'Saving first …' : 'Download as zip'}
        </button>
      </div>
    </section>
  );
}
