import type { Severity } from '@hovrin/core';

/** Fill of the sign of each severity. */
export const severityFills: Readonly<Record<Severity, string>> = {
  error: 'bg-brick',
  warning: 'bg-copper',
  advice: 'bg-lake',
};
