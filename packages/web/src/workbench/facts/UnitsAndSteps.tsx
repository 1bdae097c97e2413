/** Units, steps and snapping: how sizes are counted while one drags and types. */
import { Magnet, Percent } from 'lucide-react';
import { commandNamed, runCommand } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Menu } from '../../parts/Menu.tsx';
import { useBenchView } from '../bench/benchView.ts';

export function UnitsAndSteps() {
  const { editor } = useWorkplace();
  const { step } = useEditorState('step');
  const { snapping, setSnapping } = useBenchView();
  return (
    <>
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
    </>
  );
}
