/** Does something when pressed. */

import type { Values } from '../cascade/values.ts';
import { flagType, iconType, toneType } from '../property-types/index.ts';
import { colourCss } from '../values/theme.ts';
import { pressedEvents } from './events.ts';
import { feelRules, feelTransition, feltColour, feltIn, paleShare } from './feel.ts';
import type { Kind, Look, Making, Manner, PageElement, Property } from './kind.ts';
import { inside } from './made-anew.ts';
import { directedDrawing, iconPart, mirror, mirrorCss } from './mirroring.ts';
import { isOff, offStates } from './off-states.ts';
import {
  background,
  boxLook,
  colour,
  disabled,
  disabledBy,
  padding,
  placing,
  preset,
  property,
  sizing,
  textLook,
  words,
} from './properties.ts';
import { pressable } from './states.ts';
import { tabindex } from './tabindex.ts';
import { textStyleOf } from './words.ts';

const own = {
  text: words('text', 'Text', { as: 'text', part: 'part-text' }),
  icon: property({
    name: 'icon',
    label: 'Icon',
    group: 'content',
    type: iconType,
    effect: 'layout',
    perBand: false,
    page: { as: 'inside' },
  }),
  submits: property({
    name: 'submits',
    label: 'Submits its form',
    group: 'content',
    type: flagType,
    effect: 'behaviour',
    perBand: false,
  }),
};

/** What a tone paints a button with: its ground, its words, and a line inside its edge. */
const tones: Readonly<
  Record<
    'primary' | 'plain' | 'danger',
    { readonly ground: string; readonly words: string; readonly ring?: string }
  >
> = {
  primary: { ground: 'accent', words: 'on-accent' },
  plain: { ground: 'sheet', words: 'accent', ring: 'line' },
  danger: { ground: 'alert', words: 'on-accent' },
};
/** A tone with a line inside its edge has a pale ground. */
const answerOf = (ring: string | undefined): number => (ring ? paleShare : 1);
const toneOf = (values: Values) => tones[values.get(tone) ?? 'primary'];

/** How much a button asks to be pressed. */
export const tone = property({
  name: 'tone',
  leads: true,
  label: 'Tone',
  group: 'look',
  type: toneType,
  default: 'primary',
  effect: 'look',
  perBand: true,
});

/** The look of a button and of its words. */
export function buttonLook(values: Values, make: Making): { box: Look; words: Look } {
  const { ground, words: ink, ring } = toneOf(values);
  const style = textStyleOf(values, make, 'center');
  return {
    box: {
      ...(values.get(background)
        ? {}
        : { background: feltColour(make, ground, feltIn(values), answerOf(ring)) }),
      ...(ring && !values.get(background) ? { ring: make.colour(ring) } : {}),
      ...(isOff(values) ? { opacity: 0.5 } : {}),
    },
    words: {
      colour: make.colour(values.get(colour) ?? ink),
      text: style,
    },
  };
}

/** The custom property that a button's tone paints its ground with. */
const toneVariable = '--k-ground';
/** How much of what others take it takes to answer; see `paleShare`. */
const answerVariable = '--k-answer';

/** The ground of a button, and how it answers. @param selector with what tells that it is not off. */
export const groundCss = (kind: string, ground: string, isOn: string): string => `.k-${kind} {
  ${toneVariable}: var(--${ground});
  ${answerVariable}: ${ground === 'sheet' ? paleShare : 1};
  background: var(${toneVariable});
}
${feelRules({ over: `.k-${kind}${isOn}` }, (felt) => `background: ${felt(`var(${toneVariable})`, `var(${answerVariable})`)}`)}
${feelTransition(`.k-${kind}`, ['background-color'])}`;

/** The CSS of a button's tone. */
export function toneCss(values: Values): [string, string][] {
  const said = values.own(tone);
  if (!said) return [];
  const { ground, words: ink, ring } = tones[said];
  return [
    [toneVariable, colourCss(ground)],
    [answerVariable, `${answerOf(ring)}`],
    ['color', colourCss(ink)],
    ['box-shadow', ring && !values.own(background) ? `inset 0 0 0 1px ${colourCss(ring)}` : 'none'],
  ];
}

/** Properties of a button's look; its ground and the colour of its words follow from its tone. */
export const buttonProperties: readonly Property[] = [
  tone,
  ...sizing,
  ...placing(),
  tabindex,
  preset(padding, '9 16'),
  ...boxLook({ corner: { theme: 'corner' } }),
  ...textLook({ weight: '600' }).map(({ default: preset, ...rest }) =>
    rest.name === 'color' || preset === undefined ? rest : { ...rest, default: preset },
  ),
];

/** Size of an icon beside words. */
const besideWords = 20;

/** The element of a button. */
export const buttonElement = (values: Values): PageElement => ({
  tag: 'button',
  attributes: { type: values.flag(own.submits) ? 'submit' : 'button', disabled: values.flag(disabled) },
  children: [
    ...(values.text(own.icon) ? [iconPart(values, values.text(own.icon), ['part-icon'])] : []),
    { tag: 'span', classes: ['part-text'], text: values.text(own.text) },
  ],
});

export const manner: Manner = {
  css: toneCss,
  keepsSize: true,
  anew: (values) => inside(buttonElement(values)),
};

export const button: Kind = {
  name: 'button',
  label: 'Button',
  group: 'act',
  purpose: 'Does something when it is pressed.',
  glyph: 'square-mouse-pointer',
  target: 'ample',
  findBy: ['press', 'click', 'action', 'submit', 'send', 'save', 'cancel', 'accept'],
  container: false,
  manner,
  properties: [
    own.text,
    own.icon,
    mirror,
    disabledBy({ as: 'property', name: 'disabled' }),
    own.submits,
    ...buttonProperties,
  ],
  states: pressable,
  statesNow: offStates,
  events: pressedEvents,
  starter: { text: 'Button' },
  inside(values, make) {
    const style = textStyleOf(values, make, 'center');
    const text = values.text(own.text);
    const icon = values.text(own.icon);
    const look = buttonLook(values, make);
    const side = besideWords * make.scale;
    return {
      content: {
        type: 'flex',
        direction: 'row',
        align: 'center',
        justify: 'center',
        wrap: false,
        rowGap: 0,
        columnGap: make.theme.checkGap,
        safe: true,
      },
      style: { fillsPins: true },
      parts: [
        ...(icon
          ? [
              make.blank(
                { width: side, height: side },
                {
                  ...(look.words.colour ? { colour: look.words.colour } : {}),
                  drawing: directedDrawing(values, make.icon(icon), make.rightToLeft),
                },
                { width: side, height: side },
              ),
            ]
          : []),
        ...(text ? [make.words(text, style, look.words, { minWidth: 0 })] : []),
      ],
      look: look.box,
    };
  },
  element: buttonElement,
  sharedCss: [mirrorCss],
  css: (theme) => `${groundCss('button', 'accent', ':not(:disabled)')}
.k-button {
  appearance: none;
  display: flex;
  align-items: safe center;
  justify-content: safe center;
  gap: ${theme.checkGap}px;
  padding: 9px 16px;
  border-radius: ${theme.corner}px;
  color: var(--on-accent);
  font-weight: 600;
  text-align: center;
  white-space-collapse: preserve-breaks;
  cursor: pointer;
}
.k-button > .part-text {
  min-width: 0;
}
.k-button > .part-text:empty {
  display: none;
}
.k-button > .part-icon {
  flex: none;
  width: ${besideWords / 16}rem;
  height: ${besideWords / 16}rem;
}
.k-button:disabled {
  opacity: 0.5;
  cursor: default;
}`,
};
