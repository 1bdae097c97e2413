/** Findings of one cause: the same sentence of several controls is one row. */
import type { Finding, Fix, Step } from '@hovrin/core';

/** A sentence without the names and numbers that differ from control to control. */
const withoutParticulars = (sentence: string): string =>
  sentence.replace(/`[^`]*`/g, '`').replace(/-?\d+(?:\.\d+)?/g, '0');

export interface FindingGroup {
  /** By what they are told apart from others. */
  readonly key: string;
  readonly findings: readonly [Finding, ...Finding[]];
}

/** @param findings of one check, in their order. */
export function findingGroups(findings: readonly Finding[]): readonly FindingGroup[] {
  const groups = new Map<string, [Finding, ...Finding[]]>();
  for (const finding of findings) {
    const key = `${finding.severity} ${withoutParticulars(finding.sentence)}`;
    const group = groups.get(key);
    if (group) group.push(finding);
    else groups.set(key, [finding]);
  }
  return [...groups].map(([key, found]) => ({ key, findings: found }));
}

/** What mends all findings of a group at once: the first fix of each, where all have one of the same kind. */
export function fixOfAll({ findings }: FindingGroup): Pick<Fix, 'label' | 'steps'> | undefined {
  const fixes = findings.map(({ fixes: [fix] }) => fix);
  const [first] = fixes;
  if (!first || findings.length < 2) return undefined;
  const kind = withoutParticulars(first.label);
  const steps: Step[] = [];
  for (const fix of fixes) {
    if (!fix || withoutParticulars(fix.label) !== kind) return undefined;
    steps.push(...fix.steps);
  }
  return { label: first.label.replace(/`[^`]*`/, `all ${findings.length}`), steps };
}
