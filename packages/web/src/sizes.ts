/** Screen sizes that a project is looked at in. Lengths in CSS px. */
export interface ScreenSize {
  readonly label: string;
  readonly width: number;
  readonly height: number;
}

export const usualSizes: readonly ScreenSize[] = [
  { label: 'Hand', width: 390, height: 844 },
  { label: 'Lap', width: 820, height: 1180 },
  { label: 'Desk', width: 1280, height: 800 },
];

export const leastSize = 120;
export const greatestSize = 4000;

export const sizeWords = ({ width, height }: Pick<ScreenSize, 'width' | 'height'>): string =>
  `${Math.round(width)} × ${Math.round(height)}`;

/** A size within what is possible, in whole px. */
export function resized(size: ScreenSize): ScreenSize {
  const within = (value: number) => Math.min(greatestSize, Math.max(leastSize, Math.round(value)));
  return { ...size, width: within(size.width), height: within(size.height) };
}
