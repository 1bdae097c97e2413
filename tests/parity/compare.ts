/** Lays out a project in the core and, as the exported page, in a browser, and compares every box. */
import { mkdir, mkdtemp, rm, symlink, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  asBegun,
  type Control,
  effectiveNames,
  inLocale,
  namedBoxes,
  type Project,
  ScreenView,
  startScreen,
  type View,
} from '@hovrin/core';
import { fontFolder, loadShaper } from '@hovrin/files';
import { type Engine, type EngineName, openEngine, type Shown } from '../browser/engines.ts';
import { makePage } from '../browser/exported-page.ts';

/** A box whose edges differ. */
export interface Difference {
  readonly name: string;
  readonly view: View;
  readonly core: readonly number[];
  readonly browser: readonly number[] | undefined;
  /** Largest difference of an edge, CSS px. */
  readonly by: number;
}

export interface Comparison {
  readonly boxes: number;
  /** Largest difference of any edge, CSS px. */
  readonly worst: number;
  /** Boxes that differ by more than the tolerance. */
  readonly differences: readonly Difference[];
}

/** CSS px that an edge may differ by. */
export const tolerance = 0.1;

/** Runs in the page: sets its conditions; then the boxes of all elements that carry a control's name. */
async function measuredBoxes(
  {
    textScale = 1,
    rightToLeft,
    safe,
    hinge,
    mode = 'light',
    motions = [],
    screen,
    locale,
  }: View & { readonly screen: string; readonly locale: string | undefined },
  { document, window }: Shown,
): Promise<[string, number[]][]> {
  const { style, dataset } = document.documentElement;
  // The page takes the screens that are not seen out of the way.
  const place = `body > .k-screen[data-name="${screen}"]:not([hidden])`;
  if (!document.querySelector(place)) window.location.hash = `#${screen}`;
  while (!document.querySelector(place)) await new Promise((resolve) => setTimeout(resolve));
  // The words of another language lie in a file of their own, which comes before the page starts.
  while (locale && document.documentElement.lang !== locale)
    await new Promise((resolve) => setTimeout(resolve));
  const wanted = document.querySelector<HTMLElement>(place)!;
  style.fontSize = `${16 * textScale}px`;
  document.documentElement.dir = rightToLeft ? 'rtl' : 'ltr';
  dataset.mode = mode === 'dark' ? 'dark' : 'light';
  for (const side of ['top', 'right', 'bottom', 'left'] as const)
    style.setProperty(`--safe-${side}`, `${safe?.[side] ?? 0}px`);
  if (hinge) {
    dataset.hinged = '';
    style.setProperty('--hinge-start', `${hinge.left - (safe?.left ?? 0)}px`);
    style.setProperty('--hinge-width', `${hinge.width}px`);
  } else delete dataset.hinged;
  // Fonts load when a layout first needs them, and some only when others have come; what is measured must be set in them.
  do {
    await document.fonts.ready;
    document.body.getBoundingClientRect();
    await new Promise((resolve) => setTimeout(resolve));
  } while (document.fonts.status === 'loading');
  // Pictures of screens that are not seen at first come late.
  for (const picture of wanted.querySelectorAll('img')) {
    picture.loading = 'eager';
    await picture.decode().catch(() => undefined);
  }
  // WebKit at times keeps a width from before the fonts came; a layout of everything anew does not.
  document.body.style.display = 'none';
  document.body.getBoundingClientRect();
  document.body.style.display = '';
  // Motions are held at their instants until all is measured: nothing of the page runs meanwhile. What turns is no part of the layout.
  if (motions.length > 0) {
    // A window tells its page of another size when it next draws.
    for (let frame = 0; frame < 2; frame++)
      await new Promise((resolve) => window.requestAnimationFrame(resolve));
    // A strict policy takes rules that a script adds.
    const still = '* { rotate: none !important; scale: none !important; translate: none !important; }';
    document.styleSheets[0]!.insertRule(still);
  }
  for (const animation of document.getAnimations()) {
    const instant = motions.find(({ name }) => name === animation.id);
    if (!instant) {
      // A motion that is not asked for plays by itself.
      if (animation.id !== '') animation.cancel();
      continue;
    }
    animation.pause();
    animation.currentTime = instant.at * 1000;
  }
  // Where a screen is wider than its window and read from the right, it begins left of it.
  const begin = rightToLeft ? wanted.getBoundingClientRect().x + window.scrollX - (safe?.left ?? 0) : 0;
  return [wanted, ...wanted.querySelectorAll<HTMLElement>('[data-name]')].map((element) => {
    const { x, y, width, height } = element.getBoundingClientRect();
    return [element.dataset.name!, [x + window.scrollX - begin, y + window.scrollY, width, height]];
  });
}

/** A browser with a folder of pages. Close it when done. */
export class ParityBench {
  private constructor(
    private engine: Engine,
    private readonly folder: string,
    private readonly view: ScreenView,
  ) {}

  static async open(name: EngineName = 'chromium'): Promise<ParityBench> {
    const folder = await mkdtemp(join(tmpdir(), 'hovrin-parity-'));
    await symlink(fontFolder, join(folder, 'fonts'));
    await mkdir(join(folder, 'assets'));
    await writeFile(
      join(folder, 'assets/wide.svg'),
      '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="80"><rect width="200" height="80" fill="#2f5d50"/></svg>',
    );
    const engine = await openEngine(name, folder);
    return new ParityBench(engine, folder, new ScreenView(await loadShaper(engine.letters)));
  }

  async close(): Promise<void> {
    await this.engine.close();
    await rm(this.folder, { recursive: true });
  }

  /** Takes a new browser in place of one that gave a page up. */
  async reopen(): Promise<void> {
    await this.engine.close().catch(() => undefined);
    this.engine = await openEngine(this.engine.name, this.folder);
  }

  /**
   * Compares a project's start screen in some views.
   *
   * @param over boxes are listed that differ by more, CSS px.
   */
  async compare(project: Project, views: readonly View[], over = tolerance): Promise<Comparison> {
    const [result] = await this.compareScreens(project, [startScreen(project)!], views, over);
    return result!;
  }

  /**
   * Compares screens of a project in some views: one page for all of them, gone through by its addresses.
   *
   * @param over boxes are listed that differ by more, CSS px.
   * @param locale the page is asked for in that language of the project.
   */
  async compareScreens(
    given: Project,
    screens: readonly Control[],
    views: readonly View[],
    over = tolerance,
    locale?: string,
  ): Promise<Comparison[]> {
    // What comes from outside has not come yet when a page opens, and does not come here.
    const begun = asBegun(given);
    const project = { ...begun, state: begun.state.map(({ feed: _, ...variable }) => variable) };
    const exported = await makePage(project);
    await mkdir(join(this.folder, 'words'), { recursive: true });
    for (const [path, text] of exported.files) await writeFile(join(this.folder, path), text);
    const sizes = screens.flatMap((screen) =>
      views.map((view) => ({ ...view, screen: nameOf(screen), locale })),
    );
    // The core lays out while the browser does.
    const showing = this.engine.show('index.html', sizes, measuredBoxes, locale && `locale=${locale}&`);
    const shownProject = locale === undefined ? project : inLocale(project, locale);
    const layouts = screens.flatMap(({ id }) => {
      const screen = shownProject.screens.find((each) => each.id === id)!;
      return views.map((view) =>
        namedBoxes(shownProject, screen, this.view.layOut(shownProject, screen, view)),
      );
    });
    const shown = await showing;
    return screens.map((_, index) => {
      const [from, to] = [index * views.length, (index + 1) * views.length];
      return compared(views, layouts.slice(from, to), shown.slice(from, to), over);
    });
  }
}

const nameOf = (screen: Control): string => effectiveNames(screen).get(screen.id)!;

function compared(
  views: readonly View[],
  layouts: readonly ReturnType<typeof namedBoxes>[],
  shown: readonly (readonly [string, number[]][])[],
  over: number,
): Comparison {
  let boxes = 0;
  let worst = 0;
  const differences: Difference[] = [];
  for (const [index, view] of views.entries()) {
    const measured = new Map(shown[index]);
    for (const box of layouts[index]!) {
      const core = [box.x, box.y, box.width, box.height];
      const browser = measured.get(box.name);
      const by = browser
        ? Math.max(...edges(core).map((edge, index) => Math.abs(edge - edges(browser)[index]!)))
        : Number.POSITIVE_INFINITY;
      boxes++;
      worst = Math.max(worst, by);
      if (by > over) differences.push({ name: box.name, view, core, browser, by });
    }
  }
  return { boxes, worst, differences };
}

const edges = ([x = 0, y = 0, width = 0, height = 0]: readonly number[]) => [x, y, x + width, y + height];
