/** The stylesheet's part of transitions between screens (CSS View Transitions 1 §2.2): what each looks like. */

import { walk } from '../document/tree.ts';
import { inForce, type Project } from '../document/types.ts';

/** Whether screens of a project take each other's place by a transition, or share something. */
export function hasTransitions({ screens, transition }: Project): boolean {
  const isSaid = (text: string | undefined) => text !== undefined && text !== 'none';
  return (
    isSaid(transition) ||
    screens.some(({ props }) => isSaid(inForce(props.comes))) ||
    screens.some((screen) =>
      [...walk(screen)].some(({ props }) =>
        Object.entries(props).some(
          ([name, value]) =>
            name === 'shared' || (name.startsWith('on.') && /\btransition\s*:/.test(inForce(value) ?? '')),
        ),
      ),
    )
  );
}

/** Where a screen comes from, and where the one before goes: parts of the window, inline and block. */
const slides = {
  'slide-start': ['100% 0', '-30% 0'],
  'slide-end': ['-100% 0', '30% 0'],
  'slide-up': ['0 100%', '0 -30%'],
  'slide-down': ['0 -100%', '0 30%'],
  cover: ['0 100%', '0 0'],
} as const;

const of = (name: string, which: 'old' | 'new') =>
  `:root[data-transition="${name}"]::view-transition-${which}(root)`;

/** A length of the inline axis the other way round, for pages from right to left. */
const turned = (place: string) =>
  place.replace(/^(-?)(\d+%)/, (_, minus: string, part: string) => `${minus ? '' : '-'}${part}`);

function slideRules(name: keyof typeof slides): string {
  const [from, to] = slides[name];
  const sideways = from.endsWith(' 0');
  return `@keyframes ${name}-in {
  from {
    translate: ${from};
  }
}
@keyframes ${name}-out {
  to {
    translate: ${to};
  }
}
${of(name, 'new')} {
  animation-name: ${name}-in;
}
${of(name, 'old')} {
  animation-name: ${name}-out;
}
${
  sideways
    ? `@keyframes ${name}-in-rtl {
  from {
    translate: ${turned(from)};
  }
}
@keyframes ${name}-out-rtl {
  to {
    translate: ${turned(to)};
  }
}
:root[dir="rtl"][data-transition="${name}"]::view-transition-new(root) {
  animation-name: ${name}-in-rtl;
}
:root[dir="rtl"][data-transition="${name}"]::view-transition-old(root) {
  animation-name: ${name}-out-rtl;
}
`
    : ''
}`;
}

export const transitionRules = `
/* How screens take each other's place. */
::view-transition-group(*),
::view-transition-old(*),
::view-transition-new(*) {
  animation-duration: var(--transition-seconds, 0.3s);
  animation-timing-function: var(--transition-ease, ease);
}
:root:not([data-transition="fade"])::view-transition-old(root),
:root:not([data-transition="fade"])::view-transition-new(root) {
  mix-blend-mode: normal;
}
${Object.keys(slides)
  .map((name) => slideRules(name as keyof typeof slides))
  .join('')}@keyframes uncover {
  to {
    translate: 0 100%;
  }
}
${of('uncover', 'old')} {
  z-index: 1;
  animation-name: uncover;
}
${of('uncover', 'new')} {
  animation-name: none;
}
@keyframes grow {
  from {
    clip-path: inset(var(--transition-from) round 8px);
  }
  to {
    clip-path: inset(0);
  }
}
@keyframes shrink {
  to {
    clip-path: inset(var(--transition-from) round 8px);
  }
}
${of('grow', 'new')} {
  animation-name: grow;
}
${of('grow', 'old')},
${of('shrink', 'new')} {
  animation-name: none;
}
${of('shrink', 'old')} {
  z-index: 1;
  clip-path: inset(0);
  animation-name: shrink;
}
@media (prefers-reduced-motion: reduce) {
  ::view-transition-group(*),
  ::view-transition-old(*),
  ::view-transition-new(*) {
    animation: none !important;
  }
}
`;
