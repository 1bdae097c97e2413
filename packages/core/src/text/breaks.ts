/** Where a line may or must end: UAX #14, through the `linebreak` package. */
import LineBreaker from 'linebreak';

/** A place between two characters where a line may end. */
export interface BreakOpportunity {
  /** UTF-16 index of the first character after the break. */
  readonly index: number;
}

/**
 * The places where a line of one paragraph may end, its end included.
 *
 * @param paragraph text without line feeds, white space already collapsed (CSS Text 3 §4.1).
 */
export function breakOpportunities(paragraph: string): BreakOpportunity[] {
  const breaker = new LineBreaker(paragraph);
  const found: BreakOpportunity[] = [];
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) found.push({ index: next.position });
  if (found.at(-1)?.index !== paragraph.length) found.push({ index: paragraph.length });
  return found;
}
