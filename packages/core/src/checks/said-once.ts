/** What is wrong in a component is told once, for all its instances on a screen where it is wrong; fixes go to the source. */
import { walk } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { definitionsOf } from '../reuse/definition.ts';
import { sourceId, stepsInSource } from '../steps/source-steps.ts';
import { type Finding, findingKey } from './finding.ts';

/** Where a finding is in the source: the same for the same control of a component in all its instances. */
const sourceKey = (finding: Finding): string =>
  findingKey({
    ...finding,
    control: sourceId(finding.control),
    other: finding.other === undefined ? undefined : sourceId(finding.other),
  });

/** The name of the component that a control belongs to. */
function componentWith(project: Project, id: string): string | undefined {
  for (const { name, control } of definitionsOf(project).values())
    for (const each of walk(control)) if (each.id === id) return name;
  return undefined;
}

/**
 * Findings of an expanded screen, one for each place of the source.
 *
 * @param screen the expanded screen.
 */
export function saidOnce(project: Project, screen: Control, found: readonly Finding[]): Finding[] {
  const groups = new Map<string, Finding[]>();
  for (const finding of found) {
    const key = finding.control.includes('/') ? sourceKey(finding) : findingKey(finding);
    groups.set(key, [...(groups.get(key) ?? []), finding]);
  }
  const counts = new Map<string, number>();
  for (const { id } of walk(screen))
    if (id.includes('/')) counts.set(sourceId(id), (counts.get(sourceId(id)) ?? 0) + 1);
  return [...groups.values()].flatMap((group): Finding[] => {
    const worst = group.reduce((one, other) => (other.worst > one.worst ? other : one));
    if (!worst.control.includes('/')) return [worst];
    const id = sourceId(worst.control);
    const all = counts.get(id) ?? group.length;
    const name = componentWith(project, id);
    const told = name === undefined || all < 2 ? '' : ` In \`${name}\`, for ${group.length} of ${all}.`;
    return [
      {
        ...worst,
        sentence: `${worst.sentence}${told}`,
        fixes: worst.fixes.map((fix) => ({ ...fix, steps: stepsInSource(project, fix.steps) })),
      },
    ];
  });
}
