/** Whether the page that is to run has been made: it is asked for once before the frames are, which cannot say what fails. */
import { useEffect, useState } from 'react';

export type PageState =
  | { readonly what: 'coming' | 'there' }
  | { readonly what: 'failed'; readonly message: string };

/** @param address of the page; undefined: not known yet. @param attempt another number asks anew. */
export function usePage(address: string | undefined, attempt: number): PageState {
  const [state, setState] = useState<PageState>({ what: 'coming' });
  const path = address?.split('#')[0];
  // biome-ignore lint/correctness/useExhaustiveDependencies: another attempt asks anew.
  useEffect(() => {
    if (path === undefined) return;
    const asking = new AbortController();
    // What runs already goes on until the next page is there.
    setState((before) => (before.what === 'there' ? before : { what: 'coming' }));
    fetch(path, { signal: asking.signal }).then(
      async (answer) => {
        if (answer.ok) setState({ what: 'there' });
        else {
          const { error }: { error?: string } = await answer.json().catch(() => ({}));
          setState({ what: 'failed', message: error ?? `The server answered ${answer.status}.` });
        }
      },
      () => {
        if (!asking.signal.aborted) setState({ what: 'failed', message: 'The server cannot be reached.' });
      },
    );
    return () => asking.abort();
  }, [path, attempt]);
  return state;
}
