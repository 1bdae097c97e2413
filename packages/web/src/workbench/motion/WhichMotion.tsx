/** Which motion the drawer shows; another one added, this one deleted. */
import { type Control, inForce, type Step } from '@hovrin/core';
import { Plus, Trash2 } from 'lucide-react';

interface WhichMotionProps {
  readonly lines: readonly Control[];
  readonly line: Control;
  readonly onLine: (id: string) => void;
  readonly onAdd: () => void;
  readonly onSteps: (label: string, steps: readonly Step[]) => void;
}

export const WhichMotion = ({ lines, line, onLine, onAdd, onSteps }: WhichMotionProps) => (
  <div className="flex items-center gap-1">
    <select
      className="field"
      aria-label="Motion"
      value={line.id}
      onChange={({ target }) => onLine(target.value)}
    >
      {lines.map(({ id, props }) => (
        <option key={id} value={id}>
          {inForce(props.name)}
        </option>
      ))}
    </select>
    <button type="button" className="btn-bare" aria-label="New motion" title="New motion" onClick={onAdd}>
      <Plus size={15} />
    </button>
    <button
      type="button"
      className="btn-bare text-quiet hover:text-brick"
      aria-label="Delete the motion"
      title="Delete the motion"
      onClick={() => onSteps(`Delete ${inForce(line.props.name)}`, [{ type: 'remove', control: line.id }])}
    >
      <Trash2 size={14} />
    </button>
  </div>
);
