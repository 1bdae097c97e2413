/** The values of a style, a line each, typed as they stand in the source. */
import {
  changing,
  contextOf,
  type Project,
  readAttributeText,
  type Style,
  styleKey,
  stylesOfKind,
} from '@hovrin/core';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { TypedField } from '../parts/TypedField.tsx';

const away = <X size={12} />;

/** What a style says, a line each, and a line to say more. */
export function StyleValues({ style }: { readonly style: Style }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const title = style.name ?? style.for ?? '';
  const set = (attribute: string, text: string | undefined) => {
    const { [attribute]: _, ...rest } = style.props;
    const props = text === undefined ? rest : { ...style.props, [attribute]: text };
    editor.dispatch({
      label: `${attribute} of the style ${title}`,
      steps: changing('styles', style, { ...style, props }),
      exact: true,
    });
  };
  return (
    <div className="flex flex-col gap-0.5">
      <dl className="flex flex-col gap-0.5">
        {Object.entries(style.props).map(([attribute, value]) => (
          <div key={attribute} className="flex items-center gap-2">
            <dt className="w-48 shrink-0 truncate font-mono text-[12px] text-quiet">{attribute}</dt>
            <dd className="flex min-w-0 flex-1 items-center gap-1">
              <TypedField
                label={`${attribute} of ${title}`}
                kept={typeof value === 'string' ? value : value.draft}
                problemOf={(text) => {
                  const reading = readIn(project, style, attribute, text);
                  return reading.ok ? undefined : reading.message;
                }}
                onText={(text) => {
                  const reading = readIn(project, style, attribute, text);
                  if (reading.ok) set(attribute, reading.text);
                }}
              />
              <button
                type="button"
                className="btn-bare !min-w-5"
                aria-label={`Take ${attribute} out of ${title}`}
                onClick={() => set(attribute, undefined)}
              >
                {away}
              </button>
            </dd>
          </div>
        ))}
      </dl>
      <NewValue style={style} onValue={set} />
    </div>
  );
}

/** Reads a value as a style may have it. */
function readIn(project: Project, style: Style, attribute: string, text: string) {
  const kind = stylesOfKind(style.for);
  if (!kind) return { ok: false as const, message: `There is no kind \`${style.for}\`.`, at: 0 };
  return readAttributeText(kind, attribute, text, contextOf(project));
}

/** `background = tint`: another value of a style, typed as it stands in the source. */
function NewValue({
  style,
  onValue,
}: {
  readonly style: Style;
  readonly onValue: (attribute: string, text: string) => void;
}) {
  const { project } = useEditorState('project');
  const [typed, setTyped] = useState('');
  const [, attribute = '', text = ''] = /^\s*([^=\s]+)\s*=\s*(.*?)\s*$/.exec(typed) ?? [];
  const reading = attribute === '' || text === '' ? undefined : readIn(project, style, attribute, text);
  const names = stylesOfKind(style.for)?.properties.map(({ name }) => name) ?? [];
  const id = `values-${styleKey(style)}`;
  const take = () => {
    if (!reading?.ok) return;
    onValue(attribute, reading.text);
    setTyped('');
  };
  return (
    <div>
      <input
        className="field max-w-80 font-mono text-[12px]"
        aria-label={`Another value of ${style.name ?? style.for}`}
        placeholder="hover.background = tint"
        list={id}
        spellCheck={false}
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={take}
        onKeyDown={({ key }) => {
          if (key === 'Enter') take();
          if (key === 'Escape') setTyped('');
        }}
      />
      <datalist id={id}>
        {names.map((name) => (
          <option key={name} value={`${name} = `} />
        ))}
      </datalist>
      {reading && !reading.ok && (
        <span role="alert" className="text-[12px] text-brick">
          {reading.message}
        </span>
      )}
    </div>
  );
}
