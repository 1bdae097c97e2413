/** The address of a page: behind `#` the name of a screen, or of a part of one, and behind `?` values of variables. */

/** The name in an address; empty where it has none, or cannot be decoded. @param hash with its `#`. */
export function nameIn(hash: string): string {
  try {
    return decodeURIComponent(hash.slice(1).replace(/\?.*/, ''));
  } catch {
    return '';
  }
}
