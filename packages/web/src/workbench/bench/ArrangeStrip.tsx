/** Lining up and spacing out, with the target named before anything happens. */
import type { AlignTarget } from '@hovrin/core';
import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignHorizontalSpaceBetween,
  AlignStartHorizontal,
  AlignStartVertical,
  AlignVerticalSpaceBetween,
  ChevronDown,
  type LucideIcon,
  Magnet,
  MoveHorizontal,
  MoveVertical,
  Percent,
} from 'lucide-react';
import type { ReactElement } from 'react';
import { canRun, commandNamed, runCommand } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Menu } from '../../parts/Menu.tsx';
import { useBenchView } from './benchView.ts';

const lines: readonly (readonly [string, ReactElement])[] = (
  [
    ['align-left', AlignStartVertical],
    ['align-center', AlignCenterVertical],
    ['align-right', AlignEndVertical],
    ['align-top', AlignStartHorizontal],
    ['align-middle', AlignCenterHorizontal],
    ['align-bottom', AlignEndHorizontal],
    ['space-x', AlignHorizontalSpaceBetween],
    ['space-y', AlignVerticalSpaceBetween],
    ['same-width', MoveHorizontal],
    ['same-height', MoveVertical],
  ] satisfies readonly (readonly [string, LucideIcon])[]
).map(([id, Icon]) => [id, <Icon key={id} size={15} aria-hidden />] as const);
const targets: readonly AlignTarget[] = ['each other', 'the parent', 'the screen'];

export function ArrangeStrip() {
  const { editor } = useWorkplace();
  const { alignTarget, alignAsOne, step } = useEditorState('alignTarget', 'alignAsOne', 'step');
  const { snapping, setSnapping } = useBenchView();
  const line = (ids: typeof lines) =>
    ids.map(([id, icon]) => {
      const command = commandNamed(id);
      return (
        <button
          key={id}
          type="button"
          className="btn-bare !min-w-6 !px-1"
          aria-label={command.label}
          title={id.startsWith('align') ? `${command.label}, with ${alignTarget}` : command.label}
          disabled={!canRun(editor, command)}
          onClick={() => runCommand(editor, command)}
        >
          {icon}
        </button>
      );
    });
  return (
    <div role="toolbar" aria-label="Line up" className="border-t border-rule px-3 py-1.5">
      <div className="flex h-7 items-center">
        <span className="mr-1 text-quiet">Line up with</span>
        <Menu
          label="Line up with"
          button={
            <button type="button" className="btn-bare font-medium" title="What things are lined up with">
              {alignTarget}
              {alignAsOne ? ', as one' : ''} <ChevronDown size={13} aria-hidden />
            </button>
          }
          entries={[
            ...targets.map((target) => ({
              label: target,
              checked: target === alignTarget,
              onSelect: () => editor.alignTo(target, alignAsOne),
            })),
            {
              label: 'All as one',
              checked: alignAsOne,
              onSelect: () => editor.alignTo(alignTarget, !alignAsOne),
            },
          ]}
        />
        <span className="ml-auto" />
        <Menu
          label="Units and steps"
          button={
            <button
              type="button"
              className="btn-bare !min-w-6 !px-1"
              aria-label="Units and steps"
              title="px, per cent, steps"
            >
              <Percent size={14} aria-hidden />
            </button>
          }
          entries={[
            ...['units-percent', 'units-percent-deep', 'units-px', 'units-px-deep'].map((id) => {
              const command = commandNamed(id);
              return {
                label: command.label,
                onSelect: () => {
                  if (!runCommand(editor, command)) editor.tell('There is nothing to turn into other units.');
                },
              };
            }),
            ...[1, 2, 4, 8].map((each) => ({
              label: `Step of ${each} px`,
              checked: each === step,
              onSelect: () => editor.stepBy(each),
            })),
          ]}
        />
        <button
          type="button"
          className={`btn-bare !min-w-6 !px-1 ${snapping ? '' : 'text-quiet/60'}`}
          aria-pressed={snapping}
          aria-label="Snap to steps and guides"
          title={`Snapping is ${snapping ? 'on' : 'off'}; Alt turns it round while dragging`}
          onClick={() => setSnapping(!snapping)}
        >
          <Magnet size={14} aria-hidden />
        </button>
      </div>
      <div className="-ml-1 flex">{line(lines)}</div>
      {canRun(editor, commandNamed('arrange')) && (
        <button
          type="button"
          className="btn mt-1 mb-1 w-full justify-center"
          title="Rows, columns and grids in place of pins"
          onClick={() => runCommand(editor, commandNamed('arrange'))}
        >
          Arrange this pinboard for me
        </button>
      )}
    </div>
  );
}
