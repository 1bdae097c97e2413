/** The attributes of a component's controls in one of its instances. */
import { conditionsOf, propertyOf } from '../cascade/attributes.ts';
import { freeName } from '../document/names.ts';
import { type Control, inForce, type PropertyValue } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { givenName } from '../kinds/given-name.ts';
import { boundIn, type Environment, eventIn, statesIn, templateIn } from './environment.ts';

/** What an item of a component's repeat is called: another name where what stands here from outside reads one of that name. */
export const itemNameIn = (as: string, { free }: Environment): string =>
  free.has(as) ? freeName(`${as}_1`, (name) => free.has(name)) : as;

/**
 * What a component's root says, with what its instance says of size, place and style in front: of a property that an
 * instance says, the root's changes under conditions go, and its plain value where the instance has one.
 */
export function withSaid(
  root: Control['props'],
  said: Readonly<Record<string, PropertyValue>>,
): Control['props'] {
  const names = Object.keys(said);
  if (names.length === 0) return root;
  const properties = new Set(names.map(propertyOf));
  const isLeft = (attribute: string) =>
    !properties.has(propertyOf(attribute)) ||
    (conditionsOf(attribute).length === 0 && said[attribute] === undefined);
  return { ...Object.fromEntries(Object.entries(root).filter(([attribute]) => isLeft(attribute))), ...said };
}

/** The attributes of a control of a component in one of its instances. */
export function propsIn(control: Control, around: Environment): Control['props'] {
  const kind = kindOf(control);
  const as = kind.repeats?.as;
  let isSame = true;
  const props: Record<string, PropertyValue> = {};
  const put = (attribute: string, before: PropertyValue | undefined, text: string | undefined) => {
    isSame &&= text === before;
    if (text !== undefined) props[attribute] = text;
  };
  for (const [attribute, value] of Object.entries(control.props)) {
    const text = inForce(value);
    if (text === undefined) isSame = false;
    else if (attribute.startsWith('on.')) {
      const event = kind.events.find(({ name }) => `on.${name}` === attribute);
      const gives = event && givenName(event, (name) => around.names.has(name));
      put(attribute, value, eventIn(text, around, gives === undefined ? [] : [gives]));
    } else if (attribute.endsWith('.bind')) {
      const stand = boundIn(text, around);
      if (!stand) put(attribute, value, text);
      else if (stand.writes !== undefined)
        put(attribute, value, stand.begins === undefined ? stand.writes : stand.reads);
      else put(attribute.slice(0, -'.bind'.length), undefined, `{${stand.reads}}`);
    } else if (attribute === 'states') put(attribute, value, statesIn(text, around));
    else put(attribute, value, hasExpression(text) ? templateIn(text, around) : text);
  }
  if (typeof as === 'object') {
    const name = inForce(control.props[as.name]) ?? String(as.default);
    const other = itemNameIn(name, around);
    if (other !== name) put(as.name, control.props[as.name], other);
  }
  return isSame ? control.props : props;
}
