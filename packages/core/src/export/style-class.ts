/** The class of a named style on a page. */
export const styleClass = (name: string): string => `style-${name}`;
