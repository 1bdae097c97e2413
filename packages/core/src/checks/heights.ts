/** The two heights that a screen is checked at, CSS px: that of the tallest one upright, and less than any has. */
export const uprightHeight = 1920;
export const acrossHeight = 360;
