/** What routes are made of. */
import type { Store } from './store/store.ts';
import type { Workshop } from './work/workshop.ts';

export interface Parts {
  readonly store: Store;
  readonly workshop: Workshop;
}
