import { locate } from '@hovrin/core';
import { DropdownMenu } from 'radix-ui';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { KindIcon } from '../KindIcon.tsx';

interface UnderPointerProps {
  /** Where the pointer is, px from the bay's left and top edge. */
  readonly x: number;
  readonly y: number;
  /** Ids of the controls there, the topmost first. */
  readonly ids: readonly string[];
  readonly nameOf: (id: string) => string;
  readonly onClose: () => void;
}

/** All controls under the pointer, also those that others cover. */
export function UnderPointer({ x, y, ids, nameOf, onClose }: UnderPointerProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { setLit } = useBenchView();
  const close = () => {
    setLit(undefined);
    onClose();
  };
  return (
    <DropdownMenu.Root key={`${x} ${y}`} open modal={false} onOpenChange={(open) => !open && close()}>
      <DropdownMenu.Trigger asChild>
        {/* Nothing is seen of it: the menu stands where the pointer is. */}
        <span className="absolute" style={{ left: x, top: y }} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className="menu max-h-96 overflow-y-auto"
          align="start"
          aria-label="Under the pointer"
          collisionPadding={8}
          onCloseAutoFocus={(event) => event.preventDefault()}
        >
          {ids.map((id) => (
            <DropdownMenu.Item
              key={id}
              className="menu-item !justify-start !gap-2"
              onFocus={() => setLit(id)}
              onSelect={() => editor.select([id])}
            >
              <KindIcon kind={locate(project, id)?.control.kind ?? 'screen'} /> {nameOf(id)}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
