/** Screen sizes that a project is looked at in. Lengths in CSS px. */
import { type Hinge, halfOpen, type Insets, type SampleCondition } from '@hovrin/core';

export interface ScreenSize {
  readonly label: string;
  readonly width: number;
  readonly height: number;
  /** Pressed by fingers. */
  readonly touch?: boolean;
  /** Device px for each CSS px, of pictures that are saved. */
  readonly ratio?: number;
  /** What is kept free at the edges. */
  readonly safe?: Insets;
  /** Where it folds, from top to bottom. */
  readonly hinge?: Hinge | undefined;
  /** Where it would fold if it were not turned. */
  readonly folded?: Hinge | undefined;
  /** Id of the screen that a bay of this size keeps; absent: it shows the one being built. */
  readonly screen?: string | undefined;
  /** What a bay of this size has in its tables and feeds; absent: what the bench has. */
  readonly sample?: SampleCondition | undefined;
}

export const usualSizes: readonly ScreenSize[] = [
  { label: 'Hand', width: 390, height: 844, touch: true, ratio: 2 },
  { label: 'Lap', width: 820, height: 1180, touch: true, ratio: 2 },
  { label: 'Desk', width: 1280, height: 800 },
];

/** Of a screen that goes round a camera and to rounded corners. */
const rounded: Pick<ScreenSize, 'touch' | 'ratio' | 'safe'> = {
  touch: true,
  ratio: 3,
  safe: { top: 44, right: 0, bottom: 28, left: 0 },
};

/** Sizes to look at screens in, ours: no device's. */
export const referenceSizes: readonly ScreenSize[] = [
  { label: 'Wrist', width: 198, height: 242, touch: true, ratio: 2 },
  { label: 'Small hand', width: 320, height: 568, touch: true, ratio: 2 },
  ...usualSizes.slice(0, 1),
  { label: 'Large hand', width: 432, height: 936, ...rounded },
  { label: 'Folded', width: 376, height: 812, ...rounded },
  { label: 'Unfolded', width: 752, height: 812, touch: true, ratio: 3, hinge: { left: 376, width: 0 } },
  { label: 'Half open', ...halfOpen, touch: true, ratio: 3 },
  { label: 'Small tablet', width: 744, height: 1088, touch: true, ratio: 2 },
  ...usualSizes.slice(1, 2),
  {
    label: 'Large tablet',
    width: 1032,
    height: 1376,
    touch: true,
    ratio: 2,
    safe: { top: 24, right: 0, bottom: 20, left: 0 },
  },
  { label: 'Laptop', width: 1440, height: 900, ratio: 2 },
  ...usualSizes.slice(2),
  { label: 'Wide desk', width: 1920, height: 1080 },
  { label: 'Wall', width: 2560, height: 1440 },
];

/** One screen that folds: closed, flat, and half open. */
export const foldings: readonly ScreenSize[] = referenceSizes.filter(({ label }) =>
  ['Folded', 'Unfolded', 'Half open'].includes(label),
);

/** What is kept free at the edges of a size. */
export const safeOf = ({ safe }: ScreenSize): Insets => safe ?? { top: 0, right: 0, bottom: 0, left: 0 };

/** The same size turned by a quarter to the left: what was on top is on the left, and a fold runs across then. */
export const turned = (size: ScreenSize): ScreenSize => {
  const { top, right, bottom, left } = safeOf(size);
  const upright = size.width <= size.height;
  return {
    ...size,
    width: size.height,
    height: size.width,
    ...(size.safe
      ? {
          safe: upright
            ? { top: right, right: bottom, bottom: left, left: top }
            : { top: left, right: top, bottom: right, left: bottom },
        }
      : {}),
    hinge: undefined,
    ...(size.hinge ? { folded: size.hinge } : size.folded ? { hinge: size.folded, folded: undefined } : {}),
  };
};

/** A part of the width, where the application shares the screen with another. */
export const shared = (size: ScreenSize, part: number): ScreenSize =>
  resized({ ...size, width: size.width * part, hinge: undefined });

/** Sizes that a person has added, in this browser. */
export function ownSizes(): readonly ScreenSize[] {
  try {
    return JSON.parse(localStorage.getItem('hovrin.sizes.own') ?? '[]');
  } catch {
    return [];
  }
}
export const keepOwnSizes = (sizes: readonly ScreenSize[]): void =>
  localStorage.setItem('hovrin.sizes.own', JSON.stringify(sizes));
/** All sizes that can be chosen. */
export const allSizes = (): readonly ScreenSize[] => [...referenceSizes, ...ownSizes()];

/** Sizes that were chosen before, by their labels. */
export function keptSizes(where: string): readonly ScreenSize[] {
  const labels = localStorage.getItem(`hovrin.sizes.${where}`)?.split('|') ?? [];
  const found = labels.flatMap((label) => allSizes().find((size) => size.label === label) ?? []);
  return found.length > 0 ? found : usualSizes;
}
export const keepSizes = (where: string, sizes: readonly ScreenSize[]): void =>
  localStorage.setItem(`hovrin.sizes.${where}`, sizes.map(({ label }) => label).join('|'));

export const leastSize = 120;
export const greatestSize = 4000;

export const sizeWords = ({ width, height }: Pick<ScreenSize, 'width' | 'height'>): string =>
  `${Math.round(width)} × ${Math.round(height)}`;

/** A size within what is possible, in whole px. */
export function resized(size: ScreenSize): ScreenSize {
  const within = (value: number) => Math.min(greatestSize, Math.max(leastSize, Math.round(value)));
  return { ...size, width: within(size.width), height: within(size.height) };
}
