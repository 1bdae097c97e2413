/** Which severities are shown, and how many of each there are. */
import type { Severity } from '@hovrin/core';
import { severityFills } from './severities.ts';

const severityOrder: readonly Severity[] = ['error', 'warning', 'advice'];
const severities = { error: 'Errors', warning: 'Warnings', advice: 'Advice' } as const;

interface SeverityFilterProps {
  readonly all: readonly { readonly severity: Severity }[];
  readonly hidden: ReadonlySet<Severity>;
  readonly onHidden: (hidden: ReadonlySet<Severity>) => void;
}

export function SeverityFilter({ all, hidden, onHidden }: SeverityFilterProps) {
  const toggle = (severity: Severity) => {
    const next = new Set(hidden);
    if (!next.delete(severity)) next.add(severity);
    onHidden(next);
  };
  return severityOrder.map((severity) => (
    <label key={severity} className="flex items-center gap-2 px-1 py-0.5">
      <input
        type="checkbox"
        className="accent-spruce"
        checked={!hidden.has(severity)}
        onChange={() => toggle(severity)}
      />
      <span aria-hidden className={`size-2 rounded-[1px] ${severityFills[severity]}`} />
      {severities[severity]}
      <span className="ml-auto font-mono text-quiet">
        {all.filter((each) => each.severity === severity).length}
      </span>
    </label>
  ));
}
