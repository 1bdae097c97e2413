/** The screen that folds, half open, as one that screens are looked at in: no device's. Lengths in CSS px. */
export const halfOpen = { width: 772, height: 812, hinge: { left: 376, width: 20 } } as const;
