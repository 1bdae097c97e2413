/** The id of the symbol that an icon is drawn as on a page. Names of screens, which other ids begin with, have no hyphen. */
export const symbolId = (icon: string): string => `icon-${icon}`;
