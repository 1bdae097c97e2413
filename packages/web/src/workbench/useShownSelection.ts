/**
 * What is selected, as it is shown beside the place where one works: what one chooses is marked in the working bay at
 * once, and the tree, the path, other bays and facts follow once that is painted.
 */
import { locate, type Project } from '@hovrin/core';
import { type RefObject, useEffect, useSyncExternalStore } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import type { Editor, EditorState } from '../editor/editor.ts';
import { afterPaint } from '../parts/usePainted.ts';

type Chosen = Pick<EditorState, 'selection' | 'screenId'>;

/** Follows the editor's selection a frame later. Nobody who shows it is drawn in the frame before. */
class Following {
  /** What is shown. */
  shown: Chosen;
  private readonly listeners = new Set<() => void>();
  private takeBack: (() => void) | undefined;

  constructor(private readonly editor: Editor) {
    this.shown = this.chosen;
    editor.subscribe(() => this.follow());
  }

  private get chosen(): Chosen {
    const { selection, screenId } = this.editor.state;
    return { selection, screenId };
  }

  get waits(): boolean {
    const { selection, screenId } = this.editor.state;
    return selection !== this.shown.selection || screenId !== this.shown.screenId;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private follow(): void {
    if (!this.waits) this.settle();
    else if (this.isAtOnce) this.show();
    else this.takeBack ??= afterPaint(() => this.show());
  }

  /** Nothing is shown as selected that is not on the screen any more; and what is typed next goes into a field. */
  private get isAtOnce(): boolean {
    const { project, screenId, typing } = this.editor.state;
    return (
      typing !== undefined ||
      screenId !== this.shown.screenId ||
      this.shown.selection.some((id) => locate(project, id) === undefined)
    );
  }

  private settle(): void {
    this.takeBack?.();
    this.takeBack = undefined;
  }

  private show(): void {
    this.settle();
    this.shown = this.chosen;
    for (const listener of this.listeners) listener();
  }
}

const followings = new WeakMap<Editor, Following>();

function useFollowing(): Following {
  const { editor } = useWorkplace();
  const known = followings.get(editor);
  if (known) return known;
  const made = new Following(editor);
  followings.set(editor, made);
  return made;
}

/**
 * The selection as it is shown, with the project as it is.
 *
 * @param atOnce the selection as it is.
 */
export function useShownSelection(atOnce = false): Chosen & { readonly project: Project } {
  const { editor } = useWorkplace();
  const following = useFollowing();
  const { project } = useEditorState('project');
  const subscribe = atOnce ? editor.subscribe : following.subscribe;
  const read = () => (atOnce ? editor.state : following.shown);
  const selection = useSyncExternalStore(subscribe, () => read().selection);
  const screenId = useSyncExternalStore(subscribe, () => read().screenId);
  return { project, selection, screenId };
}

/** Marks an element as disabled for as long as it shows what was selected before. */
export function useDisabledMeanwhile(element: RefObject<Element | null>): void {
  const { editor } = useWorkplace();
  const following = useFollowing();
  useEffect(() => {
    const mark = () => {
      if (following.waits) element.current?.setAttribute('aria-disabled', 'true');
      else element.current?.removeAttribute('aria-disabled');
    };
    const leave = [editor.subscribe(mark), following.subscribe(mark)];
    return () => {
      for (const each of leave) each();
    };
  }, [editor, following, element]);
}
