/** What stands in place of a repeat's items: while they are on their way, where they do not come, where there are none. */

/** What a repeat says by which property; none of them has to be there. */
export interface RepeatWords {
  /** How the list's source goes, as a feed's status tells it. */
  readonly status: string;
  readonly loading: string;
  readonly failed: string;
  readonly empty: string;
}

/** The words in place of a list; empty: the list itself is shown. */
export function wordsInstead(
  list: readonly unknown[],
  { status, loading, failed, empty }: RepeatWords,
): string {
  if (status === 'waiting' && loading) return loading;
  if ((status === 'failed' || status === 'silent') && failed) return failed;
  return list.length === 0 ? empty : '';
}
