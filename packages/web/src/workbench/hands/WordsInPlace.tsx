/**
 * Words of a control, typed where they stand. Expressions in them are chips that are moved and deleted as one letter. Every
 * size shows them while they are typed; Enter keeps them, Escape puts back what they were.
 */
import {
  asTyped,
  type Control,
  effectiveNames,
  entryOf,
  inForce,
  isInstance,
  kindIn,
  locate,
  type ScreenLayout,
  templatePieces,
  valueTyped,
  withEntryLabel,
} from '@hovrin/core';
import { type KeyboardEvent, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { newId } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { entryWords, readWords, writeWords } from './typedWords.ts';
import { boxOfWords, type WordsAt } from './wordsAt.ts';

export function WordsInPlace({ layout, scale }: { layout: ScreenLayout; scale: number }) {
  const { writing } = useBenchView();
  const { project } = useEditorState('project');
  const control = writing && locate(project, writing.control)?.control;
  if (!writing || !control || isInstance(control)) return null;
  return (
    <Typed
      key={`${writing.control} ${writing.property} ${writing.entry}`}
      words={writing}
      control={control}
      layout={layout}
      scale={scale}
    />
  );
}

interface TypedProps {
  readonly words: WordsAt;
  readonly control: Control;
  readonly layout: ScreenLayout;
  readonly scale: number;
}

function Typed({ words, control, layout, scale }: TypedProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const field = useRef<HTMLDivElement>(null);
  const { change, keep, putBack } = useTyping(words, control);
  // Where its box is gone for a moment, as with no words at all, it stays where it was.
  const found = boxOfWords(project, layout, words);
  const last = useRef(found ?? layout.byControl.get(control.id));
  if (found) last.current = found;
  const begun = useRef(false);
  useLayoutEffect(() => {
    const element = field.current;
    if (!element || begun.current) return;
    begun.current = true;
    const held = control.props[words.property];
    // What was typed and is not valid yet is not lost: it goes on from there.
    const own =
      words.entry === undefined ? (asTyped(held) ?? '') : entryWords(inForce(held) ?? '', words.entry);
    const pieces = templatePieces(own);
    if (pieces) writeWords(element, pieces);
    else element.textContent = own;
    element.focus();
    getSelection()?.selectAllChildren(element);
  });
  const box = last.current;
  if (!box) return null;
  const property = kindIn(project, control).properties.find(({ name }) => name === words.property);
  const style = box.look.text;
  const press = (event: KeyboardEvent<HTMLDivElement>) => {
    event.stopPropagation();
    if (event.key === 'Escape') putBack();
    else if (event.key === 'Enter' && !(property?.manyLines && event.shiftKey)) keep();
    else return;
    event.preventDefault();
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a text box has no chips in it.
    <div
      ref={field}
      role="textbox"
      tabIndex={0}
      contentEditable
      suppressContentEditableWarning
      spellCheck={false}
      aria-label={`${property?.label ?? 'Words'} of ${entryOf(effectiveNames(layoutScreen(editor.state)), control.id)}`}
      aria-multiline={property?.manyLines === true}
      data-words={words.property}
      className="pointer-events-auto absolute z-30 cursor-text bg-[#fffdf8] whitespace-pre-wrap text-[#1f2a24] outline-2 outline-offset-1 !outline-[#e0a11b]"
      style={{
        left: box.x * scale,
        top: box.y * scale,
        minWidth: Math.max(24, box.width * scale),
        minHeight: box.height * scale,
        maxWidth: Math.max(80, (layout.width - box.x) * scale),
        ...(style && {
          fontFamily: style.family,
          fontSize: style.size * scale,
          fontWeight: style.weight,
          fontStyle: style.italic ? 'italic' : 'normal',
          lineHeight: style.lineHeight,
          letterSpacing: style.letterSpacing * scale,
          textAlign: style.align,
        }),
      }}
      onInput={(event) => change(readWords(event.currentTarget))}
      onBlur={keep}
      onKeyDown={press}
      onPaste={(event) => {
        // Words only: no look of somewhere else.
        event.preventDefault();
        document.execCommand('insertText', false, event.clipboardData.getData('text/plain'));
      }}
      onPointerDown={(event) => event.stopPropagation()}
      onClick={(event) => event.stopPropagation()}
      onDoubleClick={(event) => event.stopPropagation()}
    />
  );
}

const layoutScreen = ({ project, screenId }: ReturnType<typeof useWorkplace>['editor']['state']): Control =>
  locate(project, screenId)!.screen;

/** What is typed is in force at once, as one undo; put back, nothing of it is left. */
function useTyping({ control: id, property: name, entry }: WordsAt, control: Control) {
  const { editor } = useWorkplace();
  const { setWriting } = useBenchView();
  const newest = () => editor.state.history.undo.at(-1)?.sequence;
  const [run] = useState(newId);
  const [before] = useState(newest);
  const isOver = useRef(false);
  const end = () => {
    isOver.current = true;
    setWriting(undefined);
  };
  // It ends where its control is gone, as by an undo in another window.
  useEffect(() => () => setWriting(undefined), [setWriting]);
  return {
    change: (typed: string) => {
      const held = control.props[name];
      const before = inForce(held) ?? '';
      const text = entry === undefined ? typed : withEntryLabel(before, entry, typed);
      if (text === undefined) return;
      const { value } = valueTyped(editor.state.project, control, name, text, held);
      editor.dispatch({
        label: `Words of ${control.name ?? control.kind}`,
        steps: [{ type: 'set', control: id, property: name, value }],
        group: `words ${run}`,
      });
    },
    keep: () => {
      if (!isOver.current) end();
    },
    putBack: () => {
      end();
      if (newest() !== before) editor.undo();
    },
  };
}
