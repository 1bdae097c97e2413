/** Motions at any instant: the boxes, and what is seen, are on the page what the core says (Web Animations 1). */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ParityBench } from './compare.ts';
import { instants, movingProject } from './moving.ts';

describe('a motion', () => {
  let bench: ParityBench;
  beforeAll(async () => {
    bench = await ParityBench.open();
  });
  afterAll(() => bench.close());

  it('has the same boxes at every instant', async () => {
    let boxes = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const views = instants.map((at, index) => ({
        ...(index % 3 === 2 ? { width: 900, height: 700 } : { width: 390, height: 844 }),
        motions: [{ name: 'drift', at }],
      }));
      const result = await bench.compare(movingProject(seed), views);
      boxes += result.boxes;
      expect(result.differences.slice(0, 2), `seed ${seed}`).toEqual([]);
    }
    expect(boxes).toBeGreaterThan(3500);
  });
});
