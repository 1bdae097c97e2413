#!/usr/bin/env node
// In a fresh clone the bundle is not there yet; it is made at the first call and whenever sources are newer.
import { ensureBuilt } from '../../../scripts/build.mjs';

await ensureBuilt(['fonts', 'page', 'cli']);
await import('../dist/hovrin.mjs');
