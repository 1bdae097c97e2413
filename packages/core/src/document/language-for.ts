/** Which of some languages somebody gets. */

/**
 * The language among some for a person who wants these, the dearest first: the same, one that is less exact, or another one
 * of the same tongue (RFC 4647 §3.4, lookup).
 *
 * @param tags, @param wanted tags of BCP 47, in whatever case.
 * @returns one of `tags`; undefined: none of them is theirs.
 */
export function languageFor(tags: readonly string[], wanted: readonly string[]): string | undefined {
  for (const each of wanted) {
    const parts = each.toLowerCase().split('-');
    for (let length = parts.length; length > 0; length--) {
      const tag = parts.slice(0, length).join('-');
      const found = tags.find((other) => other.toLowerCase() === tag);
      if (found) return found;
    }
    const near = tags.find((tag) => tag.toLowerCase().startsWith(`${parts[0]}-`));
    if (near) return near;
  }
  return undefined;
}
