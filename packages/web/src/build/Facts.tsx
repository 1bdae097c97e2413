/** Facts: everything that holds for the selected control, in the order in which one asks. */
import {
  asTyped,
  type Control,
  contextOf,
  controlNameProblem,
  effectiveNames,
  freeName,
  inForce,
  kindOf,
  locate,
  type Property,
  type PropertyGroup,
  readAttributeText,
  renameScreen,
  screenNameProblem,
  stateNameProblem,
} from '@hovrin/core';
import { ChevronDown, ChevronRight, Undo2, Upload } from 'lucide-react';
import { type ReactNode, useEffect, useId, useRef, useState } from 'react';
import { api } from '../api.ts';
import { currentControl, useEditorState, useWorkplace } from '../editor/context.tsx';
import { KindIcon } from './kindIcons.tsx';
import { PropertyField, useSetProperty } from './PropertyField.tsx';

const groupWords: readonly (readonly [PropertyGroup, string])[] = [
  ['content', 'Content'],
  ['place', 'Place'],
  ['size', 'Size'],
  ['inside', 'Inside'],
  ['look', 'Look'],
  ['data', 'Data'],
];

export function Facts() {
  const state = useEditorState();
  const control = currentControl(state);
  if (!control)
    return <aside aria-label="Facts" className="w-[288px] shrink-0 border-l border-rule bg-sheet" />;
  return (
    <aside
      aria-label="Facts"
      className="flex w-[288px] shrink-0 flex-col overflow-y-auto border-l border-rule bg-sheet"
    >
      <ControlFacts key={control.id} control={control} />
    </aside>
  );
}

function ControlFacts({ control }: { control: Control }) {
  const { project } = useEditorState();
  const found = locate(project, control.id);
  if (!found) return null;
  const kind = kindOf(control);
  const name = effectiveNames(found.screen).get(control.id)!;
  return (
    <>
      <div className="flex items-center gap-2 px-3 pt-3 text-quiet">
        <KindIcon kind={control.kind} /> {kind.label}
        {found.parent && (
          <span className="ml-auto truncate">in {effectiveNames(found.screen).get(found.parent.id)}</span>
        )}
      </div>
      <NameField control={control} name={name} />
      {groupWords.map(([group, words]) => {
        const properties = kind.properties.filter(
          (property) => property.group === group && matters(property, control, found.parent),
        );
        if (properties.length === 0) return null;
        return (
          <Section key={group} title={words}>
            {properties.map((property) => (
              <PropertyRow key={property.name} control={control} property={property} name={name} />
            ))}
          </Section>
        );
      })}
      {kind.events.length > 0 && (
        <Section title="Events">
          {kind.events.map((event) => (
            <EventField
              key={event.name}
              control={control}
              name={name}
              attribute={`on.${event.name}`}
              label={event.label}
            />
          ))}
        </Section>
      )}
    </>
  );
}

/** Whether a property means something where the control stands, or says something all the same. */
function matters(property: Property, control: Control, parent: Control | undefined): boolean {
  const { name, onlyIn, notIn } = property;
  const kind = parent?.kind ?? '';
  if ((!onlyIn || onlyIn.includes(kind)) && !notIn?.includes(kind)) return true;
  return Object.keys(control.props).some((key) => key === name || key.endsWith(`.${name}`));
}

function Section({ title, children }: { title: string; children: ReactNode }) {
  const [open, setOpen] = useState(localStorage.getItem(`hovrin.facts.${title}`) !== 'closed');
  return (
    <section className="border-t border-rule px-3 py-1.5" aria-label={title}>
      <h3>
        <button
          type="button"
          className="-ml-1 flex h-7 w-full items-center gap-1 font-semibold"
          aria-expanded={open}
          onClick={() => {
            setOpen(!open);
            localStorage.setItem(`hovrin.facts.${title}`, open ? 'closed' : 'open');
          }}
        >
          {open ? <ChevronDown size={13} /> : <ChevronRight size={13} />} {title}
        </button>
      </h3>
      {open && <div className="flex flex-col gap-1 pb-1.5">{children}</div>}
    </section>
  );
}

function NameField({ control, name }: { control: Control; name: string }) {
  const { editor } = useWorkplace();
  const { project, naming } = useEditorState();
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState<string>();
  const found = locate(project, control.id)!;
  const isScreen = found.parent === undefined;
  const problem =
    typed === undefined || typed === control.name
      ? undefined
      : isScreen
        ? screenNameProblem(project, control.id, typed)
        : controlNameProblem(found.screen, control, typed);
  useEffect(() => {
    if (naming !== control.id) return;
    field.current?.focus();
    field.current?.select();
    editor.setNaming(undefined);
  }, [naming, control.id, editor]);
  const commit = () => {
    if (typed !== undefined && typed !== control.name && !problem)
      editor.dispatch({
        label: `Rename ${name} to ${typed}`,
        steps: isScreen
          ? renameScreen(project, control.id, typed)
          : [{ type: 'rename', control: control.id, name: typed }],
      });
    if (!problem) setTyped(undefined);
  };
  const id = useId();
  return (
    <div className="px-3 pt-1.5 pb-2.5">
      <div className="flex items-center gap-1.5">
        <label htmlFor={id} className="w-[86px] shrink-0 text-quiet">
          Name
        </label>
        <input
          id={id}
          ref={field}
          className="field font-mono font-medium"
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? `${id}-problem` : undefined}
          spellCheck={false}
          value={typed ?? name}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            // Leaving the field commits.
            if (event.key === 'Enter' && !problem) event.currentTarget.blur();
            if (event.key === 'Escape') {
              setTyped(undefined);
              // The field is left only after the old name is back.
              setTimeout(() => field.current?.blur());
            }
          }}
        />
        <span className="w-5" />
      </div>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-1 ml-[92px] text-[12px] text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}

function PropertyRow({ control, property, name }: { control: Control; property: Property; name: string }) {
  return (
    <>
      {property.type.name === 'picture' ? (
        <PictureField control={control} property={property} name={name} />
      ) : (
        inForce(control.props[`${property.name}.bind`]) === undefined && (
          <PropertyField control={control} property={property} name={name} />
        )
      )}
      {property.twoWay && <TwoWayField control={control} property={property} name={name} />}
    </>
  );
}

/** The choice that makes a variable; no name can be like it. */
const newVariable = '+';

/** Joins an input's value with a state variable, in both directions. */
function TwoWayField({ control, property, name }: { control: Control; property: Property; name: string }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState();
  const { set, rest } = useSetProperty(control, name);
  const id = useId();
  const attribute = `${property.name}.bind`;
  const target = asTyped(control.props[attribute]) ?? '';
  const fitting = project.state.filter((variable) => property.twoWay!.includes(variable.type));
  /** A variable made for this control, called as it is called. */
  const keepInNew = () => {
    const [type] = property.twoWay!;
    const variable = freeName(name, (candidate) => stateNameProblem(project, candidate) !== undefined);
    editor.dispatch({
      label: `Keep ${name} in ${variable}`,
      steps: [
        {
          type: 'project',
          key: 'state',
          value: [...project.state, { name: variable, type, initial: type === 'boolean' ? false : '' }],
        },
        { type: 'set', control: control.id, property: attribute, value: variable },
      ],
    });
  };
  const lost = target !== '' && !fitting.some((variable) => variable.name === target);
  return (
    <div className="flex items-center gap-1.5">
      <label htmlFor={id} className="w-[86px] shrink-0 text-quiet">
        {target && (
          <span
            role="img"
            aria-label="Bound"
            className="mr-1 inline-block size-1.5 rounded-[1px] bg-lake align-middle"
          />
        )}
        Kept in
      </label>
      <select
        id={id}
        aria-label={`${property.label} kept in`}
        className={`field flex-1 ${target ? '!border-lake' : ''}`}
        aria-invalid={lost}
        value={target}
        onChange={(event) => {
          if (event.target.value === newVariable) keepInNew();
          else set(attribute, property.label, event.target.value === '' ? null : event.target.value);
          rest();
        }}
      >
        <option value="">nowhere</option>
        {lost && <option value={target}>{target} (not there)</option>}
        {fitting.map((variable) => (
          <option key={variable.name} value={variable.name}>
            {variable.name}
          </option>
        ))}
        <option value={newVariable}>a new variable</option>
      </select>
      <span className="w-5" />
    </div>
  );
}

function EventField({
  control,
  name,
  attribute,
  label,
}: {
  control: Control;
  name: string;
  attribute: string;
  label: string;
}) {
  const { project } = useEditorState();
  const { set, rest } = useSetProperty(control, name);
  const id = useId();
  const held = control.props[attribute];
  const text = asTyped(held) ?? '';
  const reading =
    text === ''
      ? undefined
      : readAttributeText(kindOf(control), attribute, text, contextOf(project, control));
  const problem = reading && !reading.ok ? reading : undefined;
  const others = project.screens.filter((screen) => screen.name !== undefined);
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-quiet">
        {label}
      </label>
      <textarea
        id={id}
        className="field h-auto min-h-14 resize-y py-1 font-mono text-[12px]"
        rows={2}
        spellCheck={false}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        placeholder={`count = count + 1; go("${others[0]?.name ?? 'Screen1'}")`}
        value={text}
        onChange={(event) => set(attribute, label, event.target.value === '' ? null : event.target.value)}
        onBlur={rest}
      />
      {problem && (
        <p id={`${id}-problem`} role="alert" className="text-[12px] text-brick">
          {problem.message} <span className="text-quiet">(at character {problem.at + 1})</span>
          {inForce(held) !== undefined && inForce(held) !== text && (
            <span className="text-quiet"> {`“${inForce(held)}” goes on working.`}</span>
          )}
        </p>
      )}
      {text === '' && others.length > 1 && (
        <div className="flex flex-wrap items-center gap-1">
          <span className="text-[12px] text-quiet">Go to</span>
          {others.map((screen) => (
            <button
              key={screen.id}
              type="button"
              className="btn !h-6 !px-1.5 text-[12px]"
              onClick={() => {
                set(attribute, label, `go("${screen.name}")`);
                rest();
              }}
            >
              {screen.name}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

/** Chooses a picture of the project, or brings one in. */
function PictureField({ control, property, name }: { control: Control; property: Property; name: string }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState();
  const { set, rest } = useSetProperty(control, name);
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const bring = async (file: File) => {
    setBusy(true);
    setProblem(undefined);
    try {
      const size = await naturalSize(file);
      const dot = file.name.lastIndexOf('.');
      const stem =
        (dot > 0 ? file.name.slice(0, dot) : file.name).replace(/[^\w-]+/g, '-').replace(/^[^\w]+/, '') ||
        'picture';
      const ending = dot > 0 ? file.name.slice(dot).toLowerCase() : '';
      const taken = (candidate: string) =>
        editor.state.project.assets.some((asset) => asset.name === candidate);
      let assetName = `${stem}${ending}`;
      for (let count = 2; taken(assetName); count++) assetName = `${stem}-${count}${ending}`;
      const asset = { name: assetName, type: file.type, ...size };
      await api.putAsset(editor.projectId, asset, file);
      editor.dispatch({
        label: `Bring in ${assetName}`,
        steps: [
          { type: 'project', key: 'assets', value: [...editor.state.project.assets, asset] },
          { type: 'set', control: control.id, property: property.name, value: assetName },
        ],
      });
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const value = asTyped(control.props[property.name]) ?? '';
  return (
    <div className="flex flex-col gap-1">
      <div className="flex items-center gap-1.5">
        <label htmlFor={id} className="w-[86px] shrink-0 text-quiet">
          {property.label}
        </label>
        <select
          id={id}
          className="field flex-1"
          value={value}
          onChange={(event) => {
            set(property.name, property.label, event.target.value === '' ? null : event.target.value);
            rest();
          }}
        >
          <option value="">none</option>
          {value !== '' && !project.assets.some((asset) => asset.name === value) && (
            <option value={value}>{value}</option>
          )}
          {project.assets.map((asset) => (
            <option key={asset.name}>{asset.name}</option>
          ))}
        </select>
        <button
          type="button"
          className="btn-bare !min-w-5 !px-0"
          aria-label="Bring in a picture"
          title="Bring in a picture from this computer"
          disabled={busy}
          onClick={() => input.current?.click()}
        >
          {busy ? <Undo2 size={13} className="animate-spin" /> : <Upload size={13} />}
        </button>
        <input
          ref={input}
          type="file"
          accept="image/png,image/jpeg,image/webp,image/gif,image/svg+xml"
          className="hidden"
          aria-label="Picture file"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void bring(file);
          }}
        />
      </div>
      {problem && (
        <p role="alert" className="ml-[92px] text-[12px] text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}

/** A picture's own size in CSS px. @throws Error where the file is not a picture. */
function naturalSize(file: File): Promise<{ width: number; height: number }> {
  return new Promise((resolve, reject) => {
    const address = URL.createObjectURL(file);
    const image = new Image();
    image.onload = () => {
      URL.revokeObjectURL(address);
      resolve({ width: image.naturalWidth || 300, height: image.naturalHeight || 150 });
    };
    image.onerror = () => {
      URL.revokeObjectURL(address);
      reject(new Error(`${file.name} is not a picture that can be shown.`));
    };
    image.src = address;
  });
}
