/** The words of a value of CSS: between spaces outside of brackets, functions with all that is in them. */
export const cssWords = (text: string): string[] =>
  text.match(/(?:[^\s(]+\((?:[^()]|\([^()]*\))*\)|[^\s()]+)+/g) ?? [];
