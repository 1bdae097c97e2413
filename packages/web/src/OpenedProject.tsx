/** Opens a project, and puts the bar of places beside what is shown of it. */
import { Rows3 } from 'lucide-react';
import { Suspense, useEffect, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useParams } from 'react-router';
import { useEditorState, type Workplace, WorkplaceContext } from './editor/context.tsx';
import { Editor } from './editor/editor.ts';
import { loadShaper } from './fonts.ts';
import { loadOtherPlaces, places } from './places.tsx';
import { AsidesDialog } from './saving/AsidesDialog.tsx';

export function OpenedProject() {
  const { id = '' } = useParams();
  const [opened, setOpened] = useState<Workplace>();
  const [problem, setProblem] = useState<string>();
  const [attempt, setAttempt] = useState(0);

  // biome-ignore lint/correctness/useExhaustiveDependencies: another attempt opens again.
  useEffect(() => {
    let editor: Editor | undefined;
    let gone = false;
    setProblem(undefined);
    Promise.all([Editor.open(id), loadShaper()]).then(
      ([made, shaper]) => {
        editor = made;
        if (gone) made.close();
        else setOpened({ editor: made, shaper });
      },
      (error: Error) => !gone && setProblem(error.message),
    );
    return () => {
      gone = true;
      editor?.close();
      setOpened(undefined);
    };
  }, [id, attempt]);

  if (problem)
    return (
      <main className="mx-auto mt-24 flex max-w-md flex-col items-start gap-3 p-4">
        <h1 className="text-xl font-semibold">The project could not be opened</h1>
        <p>{problem}</p>
        <div className="flex gap-2">
          <button type="button" className="btn btn-main" onClick={() => setAttempt(attempt + 1)}>
            Try again
          </button>
          <Link className="btn" to="/">
            To the projects
          </Link>
        </div>
      </main>
    );
  if (!opened) return <Coming />;
  return (
    <WorkplaceContext value={opened}>
      <Frame />
    </WorkplaceContext>
  );
}

function Coming() {
  return (
    <main className="grid h-full place-items-center text-quiet" aria-busy="true">
      Opening the project …
    </main>
  );
}

const entries = places.flatMap(({ path, entry }) => (entry ? { path, ...entry } : []));

function Frame() {
  const { project, notice } = useEditorState('project', 'notice');
  const { pathname } = useLocation();
  useEffect(() => {
    document.title = `${project.name} · Hovrin`;
  }, [project.name]);
  useEffect(loadOtherPlaces, []);
  const alone = places.some(({ path, entry }) => !entry && pathname.endsWith(`/${path}`));
  return (
    <div className="flex h-full">
      {!alone && (
        <nav
          aria-label="Places"
          data-region="places"
          className="flex w-[68px] shrink-0 flex-col items-stretch gap-1 border-r border-rule bg-sunk p-1.5"
        >
          <Link
            to="/"
            className="mb-2 flex flex-col items-center gap-0.5 rounded-md py-2 text-[11px] text-quiet hover:text-ink"
            aria-label="All projects"
          >
            <Rows3 size={18} aria-hidden />
            Projects
          </Link>
          {entries.map(({ path, label, icon: Icon }) => (
            <NavLink
              key={path}
              to={path}
              end
              className={({ isActive }) =>
                `flex flex-col items-center gap-0.5 rounded-md py-2 text-[11px] font-medium ${isActive ? 'bg-sheet text-spruce' : 'text-ink hover:bg-sheet/60'}`
              }
            >
              <Icon size={18} aria-hidden />
              {label}
            </NavLink>
          ))}
        </nav>
      )}
      <div className="flex min-w-0 flex-1 flex-col">
        <Suspense fallback={<Coming />}>
          <Outlet />
        </Suspense>
      </div>
      <AsidesDialog />
      {notice && <Notice text={notice} />}
    </div>
  );
}

function Notice({ text }: { text: string }) {
  return (
    <div
      role="status"
      className="fixed bottom-4 left-1/2 z-50 max-w-xl -translate-x-1/2 rounded-md bg-ink px-4 py-2.5 text-ground shadow-lg"
    >
      {text}
    </div>
  );
}
