/** In which conditions the application runs: how large text is, which way it reads, whether all sizes are one person's. */
import {
  isOneOf,
  manyRows,
  type Project,
  type SampleCondition,
  sampleConditions,
  sampleWords,
} from '@hovrin/core';
import { LanguageChoice } from '../parts/LanguageChoice.tsx';

export interface Conditions {
  /** The reader's text scale; 1 is plain. */
  readonly textScale: number;
  readonly rightToLeft: boolean;
  readonly dark: boolean;
  readonly moreContrast: boolean;
  /** Nothing moves by itself. */
  readonly lessMotion: boolean;
  /** The language, as a tag; undefined: that of the source, or what was chosen in the application itself. */
  readonly locale?: string | undefined;
  /** Texts are longer than they are. */
  readonly long: boolean;
  /** What the tables have in them. */
  readonly sample: SampleCondition;
}

export const plainConditions: Conditions = {
  textScale: 1,
  rightToLeft: false,
  dark: false,
  moreContrast: false,
  lessMotion: false,
  long: false,
  sample: 'typical',
};

/** Conditions that are on or off, with their labels. */
const switches = [
  ['dark', 'Dark'],
  ['moreContrast', 'More contrast'],
  ['lessMotion', 'Less motion'],
  ['rightToLeft', 'Right to left'],
  ['long', 'Longer texts'],
] as const;

const textScales = [0.85, 1, 1.15, 1.3, 1.5, 1.75, 2];

export function ConditionFields({
  project,
  conditions,
  onConditions,
  linked,
  onLinked,
  follows,
  onFollows,
}: {
  project: Project;
  conditions: Conditions;
  onConditions: (conditions: Conditions) => void;
  linked: boolean;
  onLinked: (linked: boolean) => void;
  /** New versions of the project are taken as they come. */
  follows: boolean;
  onFollows: (follows: boolean) => void;
}) {
  return (
    <>
      <label className="flex items-center gap-1.5">
        <span className="text-quiet">Text</span>
        <select
          className="field !w-20"
          aria-label="Text scale"
          value={conditions.textScale}
          onChange={(event) => onConditions({ ...conditions, textScale: Number(event.target.value) })}
        >
          {textScales.map((scale) => (
            <option key={scale} value={scale}>
              {Math.round(scale * 100)} %
            </option>
          ))}
        </select>
      </label>
      <select
        className="field !w-44"
        aria-label="Rows of tables"
        title="What the application is like with no rows, one, many, or long texts in them"
        value={conditions.sample}
        onChange={({ target: { value: sample } }) =>
          isOneOf(sampleConditions, sample) && onConditions({ ...conditions, sample })
        }
      >
        {sampleConditions.map((sample) => (
          <option key={sample} value={sample}>
            {sampleWords[sample]}
            {sample === 'many' ? ` (${manyRows})` : ''}
          </option>
        ))}
      </select>
      <LanguageChoice
        project={project}
        locale={conditions.locale ?? ''}
        onLocale={(tag) => onConditions({ ...conditions, locale: tag || project.locales?.[0]?.tag })}
      />
      <Switches conditions={conditions} onConditions={onConditions} />
      <span className="ml-auto" />
      <Tick
        words="Together"
        hint="What is done in one size happens in the others"
        checked={linked}
        onChange={onLinked}
      />
      <Tick
        words="Follow edits"
        hint="What is changed in the project is taken as it comes; values and the screen stay"
        checked={follows}
        onChange={onFollows}
      />
    </>
  );
}

/** Conditions that are on or off. */
const Switches = ({
  conditions,
  onConditions,
}: {
  conditions: Conditions;
  onConditions: (conditions: Conditions) => void;
}) => (
  <>
    {switches.map(([name, words]) => (
      <label key={name} className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-spruce"
          checked={conditions[name]}
          onChange={(event) => onConditions({ ...conditions, [name]: event.target.checked })}
        />
        {words}
      </label>
    ))}
  </>
);

function Tick({
  words,
  hint,
  checked,
  onChange,
}: {
  words: string;
  hint: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
}) {
  return (
    <label className="flex items-center gap-1.5" title={hint}>
      <input
        type="checkbox"
        className="accent-spruce"
        checked={checked}
        onChange={({ target }) => onChange(target.checked)}
      />
      {words}
    </label>
  );
}
