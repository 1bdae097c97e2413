/**
 * What property tests try is the same in every run, so that a run says something about the code and not about luck.
 * `TEST_SEED=N` (or `TEST_SEED=any`) tries something else: to be done often, by hand.
 */
import fc from 'fast-check';

const said = process.env.TEST_SEED;

fc.configureGlobal({ seed: said === 'any' ? Date.now() : Number(said ?? 1) });
