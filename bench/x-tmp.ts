import { loadShaper } from '@hovrin/files';
import { applySteps, boxesToCheck, checkScreen, usualCheck, type Control } from '@hovrin/core';
import { cards } from './relayout.ts';
import { projectOf } from './trees.ts';
const shaper = await loadShaper();
const screen: Control = { ...cards(18), name: 'Cards' };
const project = { ...projectOf(screen), screens: [screen] };
const boxes = boxesToCheck(shaper);
const run = (p: typeof project, b = boxes) => { const r = checkScreen(shaper, p, p.screens[0]!, usualCheck, b); let n = r.next(); let s = 0, f = 0; const t0 = performance.now(); let tg = 0; while (!n.done) { if (n.value === 'stretch') { s++; tg = performance.now() - t0; } else f++; n = r.next(); } return { s, f, gather: Math.round(tg), all: Math.round(performance.now() - t0), found: n.value.length }; };
console.log('first', run(project)); console.log('nothing', run(project, boxesToCheck(shaper)), run(project, boxesToCheck(shaper)));
const title = screen.children[0]!.children[0]!.children[0]!.id;
for (let i = 0; i < 6; i++) { const a = applySteps(project, [{ type: 'set', control: title, property: 'text', value: `Bunk ${i}` }]); if (a.ok) console.log('change', run(a.project as typeof project)); }
