/** Comparing pictures of pages. */
import type { Page } from 'playwright-core';

/**
 * The share of pixels that differ; worked out in the browser, which can read PNGs.
 *
 * @param by how much a channel differs at least, of 255; 64 is more than antialiasing does.
 */
export async function differing(page: Page, one: Buffer, other: Buffer, by = 64): Promise<number> {
  return page.evaluate(
    async ({ pictures, by }) => {
      const [a, b] = await Promise.all(
        pictures.map(async (data) => {
          const image = await createImageBitmap(await (await fetch(`data:image/png;base64,${data}`)).blob());
          const context = new OffscreenCanvas(image.width, image.height).getContext('2d')!;
          context.drawImage(image, 0, 0);
          return context.getImageData(0, 0, image.width, image.height);
        }),
      );
      if (a!.width !== b!.width || a!.height !== b!.height) return 1;
      let far = 0;
      for (let at = 0; at < a!.data.length; at += 4)
        if ([0, 1, 2].some((channel) => Math.abs(a!.data[at + channel]! - b!.data[at + channel]!) > by))
          far++;
      return far / (a!.width * a!.height);
    },
    { pictures: [one.toString('base64'), other.toString('base64')], by },
  );
}
