/** What the page of a project says of itself: its language, what it is for, the picture that stands for it. */
import {
  type Project,
  type ProjectValueKey,
  projectValueOf,
  projectValueProblem,
  settingProject,
  transitions,
} from '@hovrin/core';
import { type ChangeEvent, type ReactNode, useId, useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { languageWords } from '../parts/languageWords.ts';

/** Languages to choose from; any other tag can be typed. */
const languages = [
  'en',
  'en-GB',
  'de',
  'de-CH',
  'fr',
  'it',
  'es',
  'pt-BR',
  'nl',
  'pl',
  'cs',
  'uk',
  'tr',
  'ja',
];

/** Sets a value of the project, as one step with its words for the history; empty takes it away. */
function useSetValue(key: ProjectValueKey, words: string): (text: string) => void {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  return (text) => {
    const steps = settingProject(project, key, text === '' ? null : text);
    if (steps.length > 0) editor.dispatch({ label: `Set the ${words} of the page`, steps });
  };
}

interface TypedValue {
  readonly shown: string;
  /** What is wrong with what is typed. */
  readonly problem: string | undefined;
  type(text: string): void;
  /** Keeps what was typed, where it is right; else it stays in the field with what is wrong. */
  leave(): void;
}

/** A value while somebody types it: it takes effect as the field is left. */
function useTypedValue(key: ProjectValueKey, kept: string, set: (text: string) => void): TypedValue {
  const [typed, setTyped] = useState<string>();
  const text = typed?.trim();
  const problem = text ? projectValueProblem(projectValueOf(key), text) : undefined;
  return {
    shown: typed ?? kept,
    problem,
    type: setTyped,
    leave: () => {
      if (text === undefined || problem) return;
      set(text);
      setTyped(undefined);
    },
  };
}

export function AboutPage() {
  const { project } = useEditorState('project');
  return (
    <section
      className="flex flex-col gap-4 rounded-md border border-rule bg-sheet p-5"
      aria-label="About the page"
    >
      <div>
        <h2 className="text-[15px] font-semibold">About the page</h2>
        <p className="text-quiet">For browsers, search engines and those who share its address.</p>
      </div>
      <Language kept={project.language ?? ''} />
      <Description kept={project.description ?? ''} />
      <PageIcon project={project} />
      <Transition kept={project.transition ?? ''} />
    </section>
  );
}

interface LineProps {
  readonly id: string;
  readonly words: string;
  readonly problem?: string | undefined;
  readonly children: ReactNode;
}

/** A field with its label beside it, and what is wrong below it. */
const Line = ({ id, words, problem, children }: LineProps) => (
  <div className="flex gap-4">
    <label htmlFor={id} className="w-32 shrink-0 pt-1 font-medium">
      {words}
    </label>
    <div className="flex-1">
      {children}
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-1 text-brick">
          {problem}
        </p>
      )}
    </div>
  </div>
);

/** What a field for text has of a value that is typed into it. */
const fieldOf = (id: string, { shown, problem, type, leave }: TypedValue) => ({
  id,
  value: shown,
  'aria-invalid': problem !== undefined,
  'aria-describedby': problem ? `${id}-problem` : undefined,
  onChange: ({ target }: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => type(target.value),
  onBlur: leave,
});

function Language({ kept }: { readonly kept: string }) {
  const id = useId();
  const typed = useTypedValue('language', kept, useSetValue('language', 'language'));
  return (
    <Line id={id} words="Language" problem={typed.problem}>
      <div className="flex items-center gap-3">
        <input
          {...fieldOf(id, typed)}
          className="field max-w-32"
          list={`${id}-tags`}
          placeholder="en"
          spellCheck={false}
          autoCapitalize="off"
          onKeyDown={(event) => {
            if (event.key === 'Enter') typed.leave();
          }}
        />
        <datalist id={`${id}-tags`}>
          {languages.map((tag) => (
            <option key={tag} value={tag}>
              {languageWords(tag)}
            </option>
          ))}
        </datalist>
        {!typed.problem && <span className="text-quiet">{languageWords(typed.shown.trim() || 'en')}</span>}
      </div>
    </Line>
  );
}

function Description({ kept }: { readonly kept: string }) {
  const id = useId();
  const typed = useTypedValue('description', kept, useSetValue('description', 'description'));
  return (
    <Line id={id} words="Description" problem={typed.problem}>
      <textarea
        {...fieldOf(id, typed)}
        className="field !h-auto py-1"
        rows={2}
        placeholder="What the application is for, in one or two sentences"
      />
    </Line>
  );
}

function PageIcon({ project }: { readonly project: Project }) {
  const id = useId();
  const set = useSetValue('icon', 'icon');
  return (
    <Line id={id} words="Icon">
      <select
        id={id}
        className="field max-w-64"
        value={project.icon ?? ''}
        onChange={(event) => set(event.target.value)}
      >
        <option value="">The first letter of the name</option>
        {project.assets.map(({ name }) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
        {project.icon !== undefined && !project.assets.some(({ name }) => name === project.icon) && (
          <option value={project.icon}>{project.icon}, which is no picture of this project</option>
        )}
      </select>
    </Line>
  );
}

/** Transitions in words. */
const transitionWords: Readonly<Record<string, string>> = {
  '': 'At once',
  fade: 'One fades into the other',
  'slide-start': 'The next comes from the end',
  'slide-end': 'The next comes from the start',
  'slide-up': 'The next comes from below',
  'slide-down': 'The next comes from above',
  cover: 'The next covers the one before',
  grow: 'The next grows from what was pressed',
};

/** How screens take each other's place where nothing else is said. */
function Transition({ kept }: { kept: string }) {
  const set = useSetValue('transition', 'transition');
  const id = useId();
  return (
    <Line id={id} words="From screen to screen">
      <select id={id} className="field max-w-72" value={kept} onChange={({ target }) => set(target.value)}>
        {['', ...transitions.filter((name) => name !== 'none')].map((name) => (
          <option key={name} value={name}>
            {transitionWords[name]}
          </option>
        ))}
      </select>
      <p className="mt-1 text-quiet">
        A screen may come otherwise (“Comes by” in its Facts), and so may a way:{' '}
        <code className="font-mono text-[12px]">{"go('Arrivals', {}, { transition: 'fade' })"}</code>. The way
        back is the other way round; nothing moves for those who wish for less motion.
      </p>
    </Line>
  );
}
