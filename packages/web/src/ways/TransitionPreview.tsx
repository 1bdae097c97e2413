/** How one screen takes the place of another, played on two small pictures as pages do it (CSS View Transitions 1). */
import type { ScreenLayout, TransitionName } from '@hovrin/core';
import { Play } from 'lucide-react';
import { useRef } from 'react';
import type { ScreenSize } from '../sizes.ts';
import { PaintedPicture } from '../workbench/bays/PaintedPicture.tsx';

/** Greatest width and height of the preview, px. */
const room = { width: 132, height: 150 };

/** The frames of both pictures: the new one comes from somewhere, the old one goes somewhere. */
export function keyframesOf(
  name: TransitionName,
): { readonly old: Keyframe[]; readonly new: Keyframe[] } | undefined {
  const slide = (from: string, to: string) => ({
    old: [{ translate: '0 0' }, { translate: to }],
    new: [{ translate: from }, { translate: '0 0' }],
  });
  switch (name) {
    case 'none':
      return undefined;
    case 'fade':
      return { old: [{ opacity: 1 }, { opacity: 0 }], new: [{ opacity: 0 }, { opacity: 1 }] };
    case 'slide-start':
      return slide('100% 0', '-30% 0');
    case 'slide-end':
      return slide('-100% 0', '30% 0');
    case 'slide-up':
      return slide('0 100%', '0 -30%');
    case 'slide-down':
      return slide('0 -100%', '0 30%');
    case 'cover':
      return slide('0 100%', '0 0');
    case 'grow':
      return { old: [], new: [{ clipPath: 'inset(45% 45%)' }, { clipPath: 'inset(0 0)' }] };
  }
}

interface TransitionPreviewProps {
  readonly name: TransitionName;
  readonly seconds: number;
  readonly from: ScreenLayout | undefined;
  readonly to: ScreenLayout | undefined;
  readonly size: ScreenSize;
}

export function TransitionPreview({ name, seconds, from, to, size }: TransitionPreviewProps) {
  const old = useRef<HTMLDivElement>(null);
  const next = useRef<HTMLDivElement>(null);
  const scale = Math.min(room.width / size.width, room.height / size.height);
  const play = () => {
    const frames = keyframesOf(name);
    const timing = { duration: seconds * 1000, easing: 'ease', fill: 'both' } as const;
    const animations = [
      old.current?.animate(frames?.old ?? [], timing),
      // Without a transition the new one is there at once.
      next.current?.animate(frames?.new ?? [{ opacity: 1 }, { opacity: 1 }], timing),
    ];
    if (next.current) next.current.style.opacity = '1';
    const after = () => {
      for (const animation of animations) animation?.cancel();
      if (next.current) next.current.style.opacity = '0';
    };
    animations[1]?.finished.then(() => setTimeout(after, 900), after);
  };
  if (!from || !to) return null;
  const picture = { width: size.width, height: size.height, scale };
  return (
    <div className="flex items-start gap-3">
      <div
        className="relative shrink-0 overflow-hidden outline outline-edge"
        style={{ width: size.width * scale, height: size.height * scale }}
      >
        <div ref={old} className="absolute inset-0">
          <PaintedPicture {...picture} layout={from} label="The screen before" />
        </div>
        <div ref={next} className="absolute inset-0 opacity-0">
          <PaintedPicture {...picture} layout={to} label="The screen that comes" />
        </div>
      </div>
      <button type="button" className="btn" onClick={play}>
        <Play size={13} aria-hidden /> Play
      </button>
    </div>
  );
}
