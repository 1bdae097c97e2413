/** Values that a control says itself although its style says the same: a change of the style passes them by. */
import { propertyOf } from '../cascade/attributes.ts';
import { type Layer, layersOf, propertiesOf } from '../cascade/cascade.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { effectiveNames } from '../document/names.ts';
import { hasPlainStyle, type Style } from '../document/style-set.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { isStyled } from '../meaning/style-values.ts';
import type { CheckOptions } from './check.ts';
import type { Finding } from './finding.ts';

/** What a layer says about a property, by attribute, conditions in front. */
const saidAbout = (
  { props }: Pick<Layer, 'props'>,
  property: string,
): readonly (readonly [string, string])[] =>
  Object.entries(props)
    .flatMap(([attribute, value]) => {
      const text = inForce(value);
      return text !== undefined && propertyOf(attribute) === property ? [[attribute, text] as const] : [];
    })
    .toSorted(([one], [other]) => (one < other ? -1 : 1));

/** The properties of a control that its own values and the next layer that speaks of them say alike, with that layer. */
function twice(control: Control, project: Project): (readonly [string, Layer])[] {
  // Which of its styles wins is known where no expression chooses them.
  if (!hasPlainStyle(control)) return [];
  const [own, ...below] = layersOf(control, themeOf(project).styles);
  if (!own || below.length === 0) return [];
  const properties = propertiesOf(kindOf(control));
  const names = new Set(Object.keys(control.props).map(propertyOf));
  // What sets others stands for them, too.
  if ([...names].some((name) => properties.get(name)?.sets)) return [];
  return [...names].flatMap((name) => {
    const property = properties.get(name);
    if (!property || !isStyled(property)) return [];
    const said = saidAbout(own, name);
    const layer = below.find((each) => saidAbout(each, name).length > 0);
    return layer && JSON.stringify(said) === JSON.stringify(saidAbout(layer, name))
      ? [[name, layer] as const]
      : [];
  });
}

const styleWords = (style: Style | undefined): string =>
  style?.name === undefined ? 'the style of its kind' : `its style \`${style.name}\``;

/** What is said twice on a screen, a finding a control. */
export function saidTwice(
  project: Project,
  screen: Control,
  { from, to }: Pick<CheckOptions, 'from' | 'to'>,
): Finding[] {
  if ((project.styles ?? []).length === 0) return [];
  const names = effectiveNames(screen);
  return [...walk(screen)].flatMap((control): Finding[] => {
    const found = twice(control, project);
    const [first] = found;
    if (!first) return [];
    const attributes = Object.keys(control.props).filter((each) =>
      found.some(([name]) => name === propertyOf(each)),
    );
    const words = found.map(([name]) => `\`${name}\``).join(', ');
    return [
      {
        check: 'said-twice',
        severity: 'advice',
        control: control.id,
        other: undefined,
        attribute: attributes[0],
        where: [{ from, to, textScale: 1, orientation: 'portrait' }],
        worst: attributes.length,
        sentence: `\`${names.get(control.id)}\` says ${words} itself, as ${styleWords(first[1].style)} does anyway.`,
        fixes: [
          {
            label: 'Leave it to the style',
            steps: attributes.map((property) => ({
              type: 'set',
              control: control.id,
              property,
              value: null,
            })),
          },
        ],
      },
    ];
  });
}
