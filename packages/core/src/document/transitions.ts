/** How one screen takes the place of another: the names of transitions, and which one is which backwards. */

export const transitions = [
  'none',
  'fade',
  'slide-start',
  'slide-end',
  'slide-up',
  'slide-down',
  'cover',
  'grow',
] as const;

/** `slide-start`: the new screen comes from the end and goes towards the start; `grow`: it grows from what was pressed. */
export type TransitionName = (typeof transitions)[number];

export interface Transition {
  readonly name: TransitionName;
  /** Absent: as long as all of its kind. */
  readonly seconds?: number;
  /** An easing of CSS (Easing 2); absent: that of all. */
  readonly ease?: string;
}

/** Longest transition, s. */
export const longestTransition = 5;

/** Whether a text is an easing of CSS that a transition may have (CSS Easing 2 §2). */
export const isEasing = (text: string): boolean =>
  /^(?:linear|ease|ease-in|ease-out|ease-in-out|step-start|step-end)$/.test(text) ||
  /^(?:cubic-bezier|steps|linear)\([\w\s.,%-]{1,200}\)$/.test(text);
