/**
 * Motions of screens, by Web Animations: each is an ordinary animation whose id is the motion's name. It is played by events, or
 * while what it plays by holds; out of sight it waits, and where a person wishes for less motion it is at its end at once.
 */
import type { Dispose, MotionFrames, MotionTarget, ProgramMotion, ScreenProgram } from '@hovrin/core/runtime';
import { movesLess } from '../on-screen.ts';
import type { Around, Piece } from './piece.ts';

/** Actions of events on a motion. */
type Doing = 'play' | 'stop' | 'pause' | 'rewind';

const plainName = (name: string | undefined): string => (name ?? '').replace(/\[\d*\]/g, '');

/** A CSS property of an element without any motion, words such as `auto` included. */
function held(element: HTMLElement, name: string): string {
  const typed = 'computedStyleMap' in element ? element.computedStyleMap().get(name) : undefined;
  const text = String(typed ?? getComputedStyle(element).getPropertyValue(name));
  // Gaps and spaces that are as usual are none.
  return text === 'normal' && /gap|spacing/.test(name) ? '0px' : text;
}

/** A CSS property as keyframes name it. */
const camel = (name: string): string =>
  name.startsWith('--') ? name : name.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());

/** The frames that hold at the width of the window. */
const framesNow = ({ widths }: MotionTarget): MotionFrames | undefined =>
  widths.findLast(
    ({ from, turned }) =>
      (from === 0 || matchMedia(`(min-width: ${from}px)`).matches) &&
      (turned === undefined || matchMedia(`(orientation: ${turned})`).matches),
  );

/** One motion of a screen that is shown. */
class Player {
  readonly #animations = new Map<HTMLElement, Map<MotionTarget, Animation>>();
  /** What the person or the application wants of it; out of sight it waits all the same. */
  #state: 'idle' | 'playing' | 'paused' = 'idle';
  readonly #inSight = new Set<Element>();
  readonly #watch = new IntersectionObserver((entries) => {
    for (const { target, isIntersecting } of entries)
      if (isIntersecting) this.#inSight.add(target);
      else this.#inSight.delete(target);
    this.#apply();
  });

  constructor(
    private readonly motion: ProgramMotion,
    private readonly screen: HTMLElement,
  ) {}

  get #all(): Animation[] {
    return [...this.#animations.values()].flatMap((each) => [...each.values()]);
  }

  play(): void {
    const isOver = this.#all.length > 0 && this.#all.every(({ playState }) => playState === 'finished');
    if (isOver) for (const animation of this.#all) animation.currentTime = 0;
    this.#state = 'playing';
    this.follow();
  }

  pause(): void {
    if (this.#state === 'idle') return;
    this.#state = 'paused';
    this.#apply();
  }

  rewind(): void {
    for (const animation of this.#all) animation.currentTime = 0;
    this.#apply();
  }

  stop(): void {
    this.#state = 'idle';
    this.#watch.disconnect();
    this.#inSight.clear();
    for (const animation of this.#all) animation.cancel();
    this.#animations.clear();
  }

  /** Takes up elements that have come, and lets go of those that went: rows come and go. */
  follow(): void {
    if (this.#state === 'idle') return;
    this.#takeUp();
    this.#apply();
  }

  #takeUp(): void {
    for (const [element, animations] of this.#animations)
      if (!element.isConnected) {
        for (const animation of animations.values()) animation.cancel();
        this.#animations.delete(element);
        this.#watch.unobserve(element);
        this.#inSight.delete(element);
      }
    const time = this.#all[0]?.currentTime ?? 0;
    for (const element of this.screen.querySelectorAll<HTMLElement>('[data-name]')) {
      if (this.#animations.has(element)) continue;
      const targets = this.motion.targets.filter(
        ({ control }) => plainName(control) === plainName(element.dataset.name),
      );
      if (targets.length === 0) continue;
      const animations = new Map(
        targets.flatMap((target) => {
          const animation = this.#animate(element, target);
          if (animation) animation.currentTime = time;
          return animation ? [[target, animation] as const] : [];
        }),
      );
      this.#animations.set(element, animations);
      this.#inSight.add(element);
      this.#watch.observe(element);
    }
  }

  /** The window has another size: frames, and what elements are without the motion, may be others. */
  resized(): void {
    if (this.#state === 'idle') return;
    // What elements are without the motion is seen without it.
    const times = new Map(this.#all.map((animation) => [animation, animation.currentTime]));
    for (const animation of times.keys()) animation.cancel();
    for (const [element, animations] of this.#animations)
      for (const [target, animation] of animations) {
        const frames = this.#keyframes(element, target);
        if (frames) (animation.effect as KeyframeEffect).setKeyframes(frames);
      }
    for (const [animation, time] of times) {
      animation.pause();
      animation.currentTime = time;
    }
    this.#apply();
  }

  #partOf(element: HTMLElement, { part }: MotionTarget): HTMLElement | null {
    return part === undefined ? element : element.querySelector(`:scope ${part}`);
  }

  #keyframes(element: HTMLElement, target: MotionTarget): Keyframe[] | undefined {
    const moved = this.#partOf(element, target);
    return moved
      ? framesNow(target)?.frames.map(({ at, ease, css = {}, under = [] }) => ({
          offset: at,
          ...(ease === undefined ? {} : { easing: ease }),
          ...Object.fromEntries([
            ...Object.entries(css).map(([name, value]) => [camel(name), value]),
            ...under.map((name) => [camel(name), held(moved, name)]),
          ]),
        }))
      : undefined;
  }

  #animate(element: HTMLElement, target: MotionTarget): Animation | undefined {
    const { name, seconds, delay = 0, repeat = 1, alternate } = this.motion;
    const frames = this.#keyframes(element, target);
    if (!frames) return undefined;
    const animation = this.#partOf(element, target)?.animate(frames, {
      id: name,
      duration: seconds * 1000,
      delay: delay * 1000,
      iterations: repeat > 0 ? repeat : movesLess() ? 1 : Number.POSITIVE_INFINITY,
      direction: alternate ? 'alternate' : 'normal',
      fill: 'both',
    });
    animation?.pause();
    return animation;
  }

  #apply(): void {
    if (this.#state === 'idle') return;
    const runs = this.#state === 'playing' && this.#inSight.size > 0;
    for (const animation of this.#all)
      if (this.#state === 'playing' && movesLess()) animation.finish();
      else if (!runs) animation.pause();
      else if (animation.playState !== 'running' && animation.playState !== 'finished') animation.play();
  }
}

export const piece: Piece = (_, { asItShows, runtime, host }) => {
  /** Of what is shown, the screen first, dialogs over it. */
  const shown: ReadonlyMap<string, Player>[] = [];
  host.acting.motion = (how: Doing, name) =>
    shown
      .findLast((each) => each.has(name))
      ?.get(name)
      ?.[how]();
  asItShows((screen, element) => begin(screen, element, runtime, shown));
};

function begin(
  { name: screen, motions = [] }: ScreenProgram,
  element: HTMLElement,
  runtime: Around['runtime'],
  shown: ReadonlyMap<string, Player>[],
): Dispose {
  const players = new Map(motions.map((motion) => [motion.name, new Player(motion, element)]));
  shown.push(players);
  const follow = new MutationObserver(() => {
    for (const player of players.values()) player.follow();
  });
  follow.observe(element, { childList: true, subtree: true });
  const resized = () => {
    for (const player of players.values()) player.resized();
  };
  window.addEventListener('resize', resized);
  const disposes = motions.flatMap(({ name, plays }) =>
    plays
      ? runtime.bind(
          plays,
          (value) => {
            const player = players.get(name);
            if (value) player?.play();
            else player?.stop();
          },
          undefined,
          `${screen}.${name}`,
        )
      : [],
  );
  return () => {
    for (const dispose of disposes) dispose();
    for (const player of players.values()) player.stop();
    follow.disconnect();
    window.removeEventListener('resize', resized);
    shown.splice(shown.indexOf(players), 1);
  };
}
