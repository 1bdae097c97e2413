/** The fonts that ship, for measuring; loaded once in the window and once in each worker. */
import { Shaper } from '@hovrin/core/text/shaper';

let shaper: Promise<Shaper> | undefined;

export function loadShaper(): Promise<Shaper> {
  shaper ??= fetch('/fonts/fonts.json')
    .then((response) => response.json())
    .then((manifest) =>
      Shaper.load(
        manifest,
        async (file) => new Uint8Array(await (await fetch(`/fonts/${file}`)).arrayBuffer()),
      ),
    );
  return shaper;
}
