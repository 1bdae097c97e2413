/** The heights that screens are looked at with, CSS px: as high as any is wide, and lower than any. */
export const uprightHeight = 1920;
export const acrossHeight = 360;
