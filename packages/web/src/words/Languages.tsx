/** The languages of the project: added, removed, how far each is; files of strings out and in. */
import {
  arriving,
  type Locale,
  messageOf,
  type Project,
  type Step,
  stringFormatOf,
  stringFormats,
  tableOf,
  tagProblem,
  translating,
} from '@hovrin/core';
import { MoreHorizontal, Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import { download } from '../download.ts';
import { useWorkplace } from '../editor/context.tsx';
import { languageWords } from '../parts/languageWords.ts';
import { Menu } from '../parts/Menu.tsx';
import { TypedField } from '../parts/TypedField.tsx';
import { ComingStrings } from './ComingStrings.tsx';
import { progressOf, targets, type WordsRow } from './wordsModel.ts';

interface LanguagesProps {
  readonly project: Project;
  readonly rows: readonly WordsRow[];
  readonly onSteps: (label: string, steps: readonly Step[]) => void;
  /** A language is there that was not there before. */
  readonly onAdded: () => void;
}

/** What a file would bring into a language. */
export interface Coming {
  readonly file: string;
  readonly locale: Locale;
  readonly arrival: ReturnType<typeof arriving>;
  readonly wrong: readonly string[];
}

export function Languages({ project, rows, onSteps, onAdded }: LanguagesProps) {
  const { editor } = useWorkplace();
  const [coming, setComing] = useState<Coming>();
  const source = project.locales?.[0]?.tag ?? project.language ?? 'en';
  const add = (tag: string) => {
    const first: Step[] =
      (project.locales ?? []).length === 0 ? [{ type: 'put', of: 'locales', entity: { tag: source } }] : [];
    onSteps(`Add the language ${tag}`, [...first, { type: 'put', of: 'locales', entity: { tag } }]);
    onAdded();
  };
  const take = async (locale: Locale, file: File) => {
    try {
      const format = stringFormatOf(file.name);
      if (!format) {
        editor.tell(`${file.name}: strings come as ${stringFormats.map(({ label }) => label).join(', ')}.`);
        return;
      }
      const table = format.read(await file.text(), file.name);
      const arrival = arriving(project, locale, table);
      const wrong = [
        ...table.problems.map(({ line, message }) => `Line ${line}: ${message}`),
        ...arrival.left,
      ];
      setComing({ file: file.name, locale, arrival, wrong });
    } catch (error) {
      editor.tell(`${file.name} could not be read: ${messageOf(error)}`);
    }
  };
  return (
    <section
      aria-label="Languages"
      data-region="languages"
      className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-rule bg-sheet px-4 py-2"
    >
      {targets(project).map((locale) => (
        <Language
          key={locale.tag}
          project={project}
          locale={locale}
          progress={progressOf(rows, locale.tag)}
          onFile={(file) => void take(locale, file)}
          onSteps={onSteps}
        />
      ))}
      <NewLanguage known={[source, ...targets(project).map(({ tag }) => tag)]} onAdd={add} />
      {coming && (
        <ComingStrings
          coming={coming}
          onTake={() => {
            const { locale, arrival, file } = coming;
            onSteps(
              `Take in ${file}`,
              translating(project, locale, { ...locale.strings, ...arrival.changed }),
            );
            setComing(undefined);
          }}
          onClose={() => setComing(undefined)}
        />
      )}
    </section>
  );
}

interface LanguageProps {
  readonly project: Project;
  readonly locale: Locale;
  readonly progress: number;
  readonly onFile: (file: File) => void;
  readonly onSteps: LanguagesProps['onSteps'];
}

function Language({ project, locale, progress, onFile, onSteps }: LanguageProps) {
  const { tag } = locale;
  const field = useRef<HTMLInputElement>(null);
  const words = languageWords(tag);
  const name = project.name.replace(/[^\w-]+/g, '-').toLowerCase();
  return (
    <div className="flex items-center gap-2">
      <span className="font-medium">{words}</span>
      <progress
        className="h-2 w-24 appearance-none overflow-hidden rounded-full bg-rule [&::-moz-progress-bar]:bg-spruce [&::-webkit-progress-bar]:bg-transparent [&::-webkit-progress-value]:bg-spruce"
        aria-label={`${words} translated`}
        max={1}
        value={progress}
      />
      <span className="text-[12px] text-quiet">{Math.floor(progress * 100)} %</span>
      <input
        ref={field}
        type="file"
        className="hidden"
        aria-label={`Strings in ${tag} from a file`}
        accept={stringFormats.flatMap(({ endings }) => endings).join(',')}
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) onFile(file);
          target.value = '';
        }}
      />
      <Menu
        label={`More for ${words}`}
        button={
          <button type="button" className="btn-bare !h-6 !min-w-6" aria-label={`More for ${words}`}>
            <MoreHorizontal size={14} />
          </button>
        }
        entries={[
          ...stringFormats.map((format) => ({
            label: `Hand out as ${format.label}`,
            onSelect: () =>
              download(
                `${name}-${tag}${format.endings[0]}`,
                new Blob([format.print(tableOf(project, locale))], { type: 'text/plain;charset=utf-8' }),
              ),
          })),
          { label: 'Take in a file …', onSelect: () => field.current?.click() },
          {
            label: 'Remove the language',
            danger: true,
            onSelect: () =>
              onSteps(`Remove the language ${tag}`, [{ type: 'drop', of: 'locales', key: tag }]),
          },
        ]}
      />
    </div>
  );
}

interface NewLanguageProps {
  /** Tags of the languages that are there already. */
  readonly known: readonly string[];
  readonly onAdd: (tag: string) => void;
}

/** A button that becomes a field for the tag of another language. */
function NewLanguage({ known, onAdd }: NewLanguageProps) {
  const [isAdding, setAdding] = useState(false);
  if (!isAdding)
    return (
      <button type="button" className="btn" onClick={() => setAdding(true)}>
        <Plus size={14} aria-hidden /> Add a language
      </button>
    );
  return (
    <span className="w-56">
      <TypedField
        label="Tag of the language"
        kept=""
        onGone={() => setAdding(false)}
        placeholder="de-CH, fr, ar, ja …"
        problemOf={(text) =>
          text === ''
            ? undefined
            : (tagProblem(text) ?? (known.includes(text) ? `The project has ${text} already.` : undefined))
        }
        onText={(tag) => {
          setAdding(false);
          if (tag !== '') onAdd(tag);
        }}
      />
    </span>
  );
}
