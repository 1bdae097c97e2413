/** Findings of one cause in one row: all controls that it touches, one press that mends them all; opened, each by itself. */
import { type Control, findingKey } from '@hovrin/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { FindingRow, FixButton } from './FindingRow.tsx';
import { type FindingGroup, fixOfAll } from './findingGroups.ts';
import { Sentence } from './Sentence.tsx';
import { severityFills } from './severities.ts';

const openIcon = <ChevronDown size={13} aria-hidden />;
const closedIcon = <ChevronRight size={13} aria-hidden />;

export function FindingGroupRow({ screen, group }: { screen: Control; group: FindingGroup }) {
  const [isOpen, setOpen] = useState(false);
  const { findings } = group;
  const [first, ...others] = findings;
  const fix = fixOfAll(group);
  return (
    <li className="px-1 py-1">
      <div className="flex items-baseline gap-2">
        <span
          role="img"
          aria-label={first.severity}
          className={`size-2 shrink-0 self-center rounded-[1px] ${severityFills[first.severity]}`}
        />
        <span className="min-w-0 flex-1">
          <Sentence screen={screen}>{first.sentence}</Sentence>
        </span>
        <button
          type="button"
          className="btn-bare !h-6 text-quiet"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? openIcon : closedIcon} and {others.length} more
        </button>
      </div>
      {fix && (
        <div className="flex gap-1 pl-4">
          <FixButton fix={fix} />
        </div>
      )}
      {isOpen && (
        <ul className="mt-1 ml-4 border-l border-rule pl-1">
          {findings.map((finding) => (
            <FindingRow key={findingKey(finding)} screen={screen} finding={finding} />
          ))}
        </ul>
      )}
    </li>
  );
}
