/** Names that would lead out of the data (ECMAScript's ways to a prototype or to code). */
export const forbiddenKeys: ReadonlySet<string> = new Set(
  'constructor prototype __proto__ __defineGetter__ __defineSetter__ __lookupGetter__ __lookupSetter__'.split(
    ' ',
  ),
);
