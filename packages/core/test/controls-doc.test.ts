/** `docs/controls.md` is made from the catalogue of kinds: `npx vitest run controls-doc -u` writes it anew. */
import { expect, it } from 'vitest';
import { defaultText, kinds, type Property, whatItDoes } from '../src/index.ts';
import { shippedTheme } from '../src/values/theme.ts';

const groups = { arrange: 'Arranging', show: 'Showing', ask: 'Asking', act: 'Acting' } as const;

/** In so many kinds a property is one of all, and stands once. */
const several = 5;
const told = ({ name, label, type }: Property) => `${name} ${label} ${type.name}`;
const counts = new Map<string, Property[]>();
for (const { properties } of kinds)
  for (const property of properties)
    counts.set(told(property), [...(counts.get(told(property)) ?? []), property]);
const isShared = (property: Property) => (counts.get(told(property))?.length ?? 0) >= several;

const propertyLine = (property: Property): string => {
  const { name, label, type } = property;
  const preset = isShared(property) ? undefined : defaultText(property, shippedTheme);
  return `- \`${name}\` (${label}): ${whatItDoes(property)} Takes ${type.expects}${preset === undefined ? '' : `; \`${preset}\` where nothing is said`}`;
};

function controlsDoc(): string {
  const sections = Object.entries(groups).map(([group, title]) => {
    const entries = kinds
      .filter((kind) => kind.group === group)
      .map((kind) => {
        const own = kind.properties.filter((property) => !isShared(property)).map(propertyLine);
        const events = kind.events.map(({ name }) => `\`on.${name}\``).join(', ');
        const lines = [...own, ...(events ? [`- events: ${events}`] : [])];
        return `### \`${kind.name}\`\n\n${kind.purpose}${lines.length > 0 ? `\n\n${lines.join('\n')}` : ''}\n`;
      });
    return `## ${title}\n\n${entries.join('\n')}`;
  });
  const shared = [...counts.values()].flatMap(([first]) =>
    first && isShared(first) ? [propertyLine(first)] : [],
  );
  return `# Controls

Each kind of control with what it is for, its own properties and its events. [source-format.md](source-format.md) says how
they are written.

## Properties of many kinds

${shared.join('\n')}

${sections.join('\n')}`;
}

it('all kinds are in the documents as they are', async () => {
  await expect(controlsDoc()).toMatchFileSnapshot('../../../docs/controls.md');
});
