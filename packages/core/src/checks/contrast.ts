/**
 * Words that do not stand out enough against what is behind them (WCAG 2.2, 1.4.3), in every mode and every state that the
 * project speaks of. Of a gradient the worst colour counts; over pictures nothing is said.
 */

import { themeOf } from '../cascade/project-theme.ts';
import { statesAsked } from '../cascade/states-asked.ts';
import { effectiveNames } from '../document/names.ts';
import { type Mode, modes } from '../document/token.ts';
import { locationsIn } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { colour } from '../kinds/properties.ts';
import type { ScreenBox, ScreenLayout, ScreenView } from '../layout/screen-layout.ts';
import { itemAt } from '../sure.ts';
import { contrastOf, over, reaching } from '../tokens/srgb.ts';
import { fillColours, fillLayers } from '../values/fills.ts';
import type { CheckOptions } from './check.ts';
import type { Finding } from './finding.ts';
import { uprightHeight } from './heights.ts';

/** Words on a ground. */
export interface WordsOnGround {
  readonly control: string;
  readonly ink: string;
  /** The opaque colour behind them against which they stand out least. */
  readonly ground: string;
  readonly ratio: number;
  /** What is asked for: 3 for large words, 4.5 for all others. */
  readonly needed: number;
}

/** Most colours that are held against words at one place. */
const mostGrounds = 12;

/** The colours that may lie behind what is in a box; undefined where a picture does. */
function groundsIn(box: ScreenBox, below: readonly string[] | undefined): readonly string[] | undefined {
  const { look } = box;
  if (look.picture !== undefined) return undefined;
  const layers = look.fill ? (fillLayers(look.fill) ?? []) : [];
  if (layers.some((layer) => 'picture' in layer)) return undefined;
  const own = look.fill
    ? fillColours(layers)
    : look.background && look.background !== 'none'
      ? [look.background]
      : [];
  if (own.length === 0 || !below) return below;
  const opacity = look.opacity ?? 1;
  if (opacity < 1) return below;
  return [...new Set(own.flatMap((colour) => below.map((ground) => over(colour, ground))))].slice(
    0,
    mostGrounds,
  );
}

/** Large enough that less will do: 24 px, or 18.66 px where it is bold (WCAG 2.2, "large scale"). */
const isLarge = ({ look }: ScreenBox): boolean =>
  look.text !== undefined && (look.text.size >= 24 || (look.text.size >= 18.66 && look.text.weight >= 700));

/** All words of a layout with what is behind them, but for those of controls that are off (1.4.3, "inactive"). */
export function wordsOnGrounds(layout: ScreenLayout, isOff: (control: string) => boolean): WordsOnGround[] {
  const grounds: (readonly string[] | undefined)[] = [];
  const owners: (string | undefined)[] = [];
  return layout.boxes.flatMap((box, index): WordsOnGround[] => {
    const below = box.parent < 0 ? ['#ffffff'] : grounds[box.parent];
    grounds[index] = groundsIn(box, below);
    owners[index] = box.control ?? owners[box.parent];
    const control = owners[index];
    const { look, lines } = box;
    const hasWords = lines.some(({ text }) => text.trim() !== '') || (look.inner?.text ?? '') !== '';
    const behind = grounds[index];
    if (
      !hasWords ||
      !behind ||
      control === undefined ||
      look.colour === undefined ||
      look.textFill ||
      isOff(control)
    )
      return [];
    const ink = look.colour;
    const ratios = behind.map((ground) => ({ ground, ratio: contrastOf(ink, ground) }));
    const { ground, ratio } = itemAt(
      ratios.toSorted((a, b) => a.ratio - b.ratio),
      0,
    );
    return [{ control, ink, ground, ratio, needed: isLarge(box) ? 3 : 4.5 }];
  });
}

/** Widths at which colours are looked at: of a hand and of a desk. */
const widths = [390, 1280];

const modeWords: Readonly<Record<Mode, string>> = {
  light: '',
  dark: ' in the dark',
  contrast: ' with more contrast',
};

type Found = Omit<Finding, 'attribute'>;

const known = new WeakMap<Control, { readonly key: readonly unknown[]; readonly found: readonly Found[] }>();

/** What somebody said about the screens that colours depend on. */
const dependsOn = (
  { bands, state, assets, tokens, styles }: Project,
  { from, to }: CheckOptions,
): readonly unknown[] => [...[bands, state, assets, tokens, styles], ...[from, to]];

/** Words that do not stand out enough, one finding a control: that of the mode and state in which they do least. */
export function lowContrast(
  view: ScreenView,
  project: Project,
  screen: Control,
  options: CheckOptions,
): readonly Found[] {
  const key = dependsOn(project, options);
  const before = known.get(screen);
  if (before?.key.every((each, index) => each === key[index])) return before.found;
  const found = sought(view, project, screen, options);
  known.set(screen, { key, found });
  return found;
}

interface Worst extends WordsOnGround {
  readonly words: string;
  readonly isPlain: boolean;
  readonly width: number;
}

function sought(view: ScreenView, project: Project, screen: Control, { from, to }: CheckOptions): Found[] {
  const places = locationsIn(screen);
  const isOff = (id: string) => inForce(places.get(id)?.control.props.disabled) === 'true';
  const worst = new Map<string, Worst>();
  const states = [
    undefined,
    ...statesAsked(project, themeOf(project).styles).filter((state) => state !== 'disabled'),
  ];
  const looked = widths.filter((width) => width >= from && width <= to);
  const [first = from, ...others] = looked;
  // What a state changes of colours it changes at all widths.
  for (const width of [first, ...others])
    for (const mode of modes)
      for (const state of width === first ? states : [undefined]) {
        const layout = view.layOut(project, screen, {
          width,
          height: uprightHeight,
          mode,
          ...(state === undefined ? {} : { states: new Map([['', [state]]]) }),
        });
        for (const each of wordsOnGrounds(layout, isOff)) {
          if (each.ratio >= each.needed - 0.005) continue;
          const held = worst.get(each.control);
          if (held && held.ratio <= each.ratio) continue;
          const words = `${modeWords[mode]}${state === undefined ? '' : `, ${state}`}`;
          worst.set(each.control, {
            ...each,
            words,
            width,
            isPlain: mode === 'light' && state === undefined,
          });
        }
      }
  const names = effectiveNames(screen);
  return [...worst.values()].map((each) =>
    findingOf(each, places.get(each.control)?.control, names.get(each.control) ?? ''),
  );
}

function findingOf(worst: Worst, control: Control | undefined, name: string): Found {
  const { ink, ground, ratio, needed, words, isPlain, width } = worst;
  const better =
    isPlain && control && kindOf(control).properties.some((each) => each.name === colour.name)
      ? reaching(ink, ground, needed)
      : undefined;
  return {
    check: 'low-contrast',
    severity: 'advice',
    control: worst.control,
    other: undefined,
    where: [{ from: width, to: width, textScale: 1, orientation: 'portrait' }],
    worst: Number((needed - ratio).toFixed(2)),
    sentence: `The words of \`${name}\` stand out ${ratio.toFixed(1)} to 1${words}; ${needed} to 1 is asked for.`,
    fixes: better
      ? [
          {
            label: `Colour the words ${better}, the nearest that stands out enough`,
            steps: [{ type: 'set', control: worst.control, property: colour.name, value: better }],
          },
        ]
      : [],
  };
}
