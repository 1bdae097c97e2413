/** Ways that are drawn, led elsewhere, given a transition, taken away: each as steps on the control that says them. */
import { type AnyNode, Parser } from 'acorn';
import type { Transition } from '../document/transitions.ts';
import { type Control, inForce, isDialog, type Project } from '../document/types.ts';
import type { Span } from '../expression/ast.ts';
import {
  type ActionCard,
  type CardList,
  cardText,
  readCards,
  withCards,
  withPiece,
} from '../expression/cards.ts';
import { parseOptions } from '../expression/parse.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { entriesText, entriesType } from '../property-types/index.ts';
import { expectationOf } from '../steps/expectation.ts';
import type { Step } from '../steps/step.ts';
import { placeOfWay, type WayPlace } from './place-of-way.ts';
import type { Way } from './ways.ts';

/** Steps, or the reason why there are none. */
export type WayChange = { readonly steps: readonly Step[] } | { readonly reason: string };

/** The step that gives an attribute a text; without one it goes. */
function setting({ id, props }: Control, property: string, text: string | undefined): Step {
  return {
    type: 'set',
    control: id,
    property,
    was: expectationOf(props[property]),
    value: text === undefined || text === '' ? null : text,
  };
}

const quoted = (name: string): string => `"${name}"`;

/** The events by which a person goes on, the most usual first. */
const leadingEvents = ['press', 'choose', 'submit', 'change'];

/**
 * A way from a control to a screen: a link leads there, anything else by its first event that a person brings about, behind what
 * that does already.
 *
 * @param control of the source, no part of an instance.
 */
export function addWay(control: Control, to: Control): WayChange {
  const { name = '' } = to;
  const kind = kindOf(control);
  const link = kind.properties.find(({ type, perBand }) => type.refers?.to === 'screen' && !perBand);
  if (link && !isDialog(to)) {
    const said = inForce(control.props[link.name]);
    if (link.type.name === 'destination') return { steps: [setting(control, link.name, name)] };
    const entries = entriesType.read(said ?? '');
    if (said === undefined || !entries.ok)
      return { reason: 'It shows the menu: where a screen stands in that is said by the screen.' };
    if (entries.value.some(({ value }) => value === name)) return { reason: `It leads to ${name} already.` };
    const text = entriesText([...entries.value, { value: name, label: name }]);
    return { steps: [setting(control, link.name, text)] };
  }
  const event = leadingEvents.find((each) => kind.events.some((one) => one.name === each));
  if (!event) return { reason: `A ${kind.label.toLowerCase()} has no event by which a person goes on.` };
  const attribute = `on.${event}`;
  const before = inForce(control.props[attribute])?.trim().replace(/;$/, '');
  const call = `${isDialog(to) ? 'open' : 'go'}(${quoted(name)})`;
  return { steps: [setting(control, attribute, before ? `${before}; ${call}` : call)] };
}

const elsewhere = 'It follows from a value: where it leads is said where that comes from.';

/** Does something with where a way is said. */
function atPlace(project: Project, way: Way, change: (place: WayPlace) => WayChange): WayChange {
  const place = placeOfWay(project, way);
  if (place) return change(place);
  return {
    reason: way.by === 'place' ? 'It stands in the menu: the screen itself says whether it does.' : elsewhere,
  };
}

/** The entries of a navigation without a screen. */
function withoutEntry(text: string, name: string): string {
  const read = entriesType.read(text);
  return read.ok ? entriesText(read.value.filter(({ value }) => value !== name)) : text;
}

const covers = (card: Pick<ActionCard, 'span'>, [start, end]: Span): boolean =>
  card.span[0] <= start && card.span[1] >= end;

/** An event's text without the innermost action around a place. */
function withoutAction(text: string, list: CardList, span: Span): string {
  const card = list.cards.find((each) => covers(each, span));
  if (!card) return text;
  const inner = card.lists.find((each) => covers(each, span));
  if (inner) return withoutAction(text, inner, span);
  return withCards(
    text,
    list,
    list.cards.filter((each) => each !== card).map((each) => cardText(text, each)),
  );
}

/** Takes a way away: its action out of the event, its place out of a navigation, the destination of a link. */
export const removeWay = (project: Project, way: Way): WayChange =>
  atPlace(project, way, ({ control, attribute, text, span }) => {
    if (way.by === 'place') return { steps: [setting(control, attribute, withoutEntry(text, way.to ?? ''))] };
    if (way.by === 'link' || way.by === 'splash') return { steps: [setting(control, attribute, undefined)] };
    const cards = readCards(text);
    if (!span || !cards) return { reason: elsewhere };
    return { steps: [setting(control, attribute, withoutAction(text, cards, span))] };
  });

/** Leads a way to another screen. */
export const leadWay = (project: Project, way: Way, to: Control): WayChange =>
  atPlace(project, way, ({ control, attribute, text, span }) => {
    const { name = '' } = to;
    if (way.by === 'link') return { steps: [setting(control, attribute, name)] };
    if (!span) return { reason: elsewhere };
    if ((way.by === 'open') !== isDialog(to))
      return {
        reason: isDialog(to)
          ? `${name} is a dialog: it opens over a screen, and needs a way of its own.`
          : `${name} is no dialog, and needs a way of its own.`,
      };
    return { steps: [setting(control, attribute, withPiece(text, span, quoted(name)))] };
  });

/** The call that a place in an event's text is an argument of. */
function callAround(text: string, [start, end]: Span): (AnyNode & { type: 'CallExpression' }) | undefined {
  let found: (AnyNode & { type: 'CallExpression' }) | undefined;
  const visit = (node: unknown): void => {
    if (Array.isArray(node)) {
      node.forEach(visit);
      return;
    }
    if (typeof node !== 'object' || node === null || !('type' in node)) return;
    const one = node as AnyNode;
    if (one.start > start || one.end < end) return;
    if (one.type === 'CallExpression') found = one;
    Object.values(one).forEach(visit);
  };
  visit(Parser.parse(text, parseOptions));
  return found;
}

/** The options of `go`, as text: its own transition, and whether there is a way back. */
function optionsText(before: string, transition: Transition | undefined): string {
  const parts = [
    ...(/\breplace\s*:\s*true\b/.test(before) ? ['replace: true'] : []),
    ...(transition
      ? [
          `transition: "${transition.name}"`,
          ...(transition.seconds === undefined ? [] : [`seconds: ${transition.seconds}`]),
          ...(transition.ease === undefined ? [] : [`ease: "${transition.ease}"`]),
        ]
      : []),
  ];
  return parts.length > 0 ? `{ ${parts.join(', ')} }` : '';
}

/** Has a way go by a transition of its own; without one, by that of the screen. */
export const transitionOfWay = (project: Project, way: Way, transition: Transition | undefined): WayChange =>
  atPlace(project, way, ({ control, attribute, text, span }) => {
    const call = way.by === 'go' && span ? callAround(text, span) : undefined;
    const [screen, brings, options] = call?.arguments ?? [];
    if (!call || !screen) return { reason: 'The screen that it leads to says how it comes.' };
    const piece = (node: AnyNode | undefined) => (node ? text.slice(node.start, node.end) : '');
    const behind = optionsText(piece(options as AnyNode | undefined), transition);
    const values = piece(brings as AnyNode | undefined);
    const parts = [
      piece(screen as AnyNode),
      ...(behind || values ? [values || '{}'] : []),
      ...(behind ? [behind] : []),
    ];
    const written = `${text.slice(call.callee.start, call.callee.end)}(${parts.join(', ')})`;
    return { steps: [setting(control, attribute, withPiece(text, [call.start, call.end], written))] };
  });
