/** Making words that several places say one shared entry, under a name. */
import { nameForShared, placesToShare, sharedNameProblem, sharing, translatedApart } from '@hovrin/core';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { languageWords } from '../parts/languageWords.ts';
import { TypedField } from '../parts/TypedField.tsx';

/** @param text what is said as a whole in several places; nothing is offered where it is in one. */
export function ShareWords({ text }: { readonly text: string }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [isNaming, setNaming] = useState(false);
  const count = placesToShare(project, text).length;
  if (count < 2) return null;
  if (!isNaming)
    return (
      <button type="button" className="btn self-start" onClick={() => setNaming(true)}>
        Make them one shared entry
      </button>
    );
  const share = (name: string) => {
    setNaming(false);
    editor.dispatch({
      label: `Share “${text}” as ${name}`,
      steps: sharing(project, text, name),
      exact: true,
    });
  };
  const suggested = nameForShared(text);
  return (
    <div className="flex flex-col gap-1.5">
      <span className="font-medium">Name of the shared entry</span>
      <TypedField
        label="Name of the shared entry"
        kept=""
        placeholder={suggested}
        problemOf={(name) => (name === '' ? undefined : sharedNameProblem(project, name))}
        onText={share}
        onGone={() => setNaming(false)}
      />
      <button
        type="button"
        className="btn self-start"
        // Before the field is left, which would take this away.
        onPointerDown={(event) => event.preventDefault()}
        onClick={() => share(suggested)}
        disabled={sharedNameProblem(project, suggested) !== undefined}
      >
        Call it {suggested}
      </button>
      <p className="text-quiet">
        {count} texts read {`{words.${suggested}}`} then, and are translated once.
      </p>
      {translatedApart(project, text).map(({ tag, texts }) => (
        <p key={tag} className="text-copper">
          They differ in {languageWords(tag)}: {texts.map((each) => `“${each}”`).join(', ')}. The first is
          kept.
        </p>
      ))}
    </div>
  );
}
