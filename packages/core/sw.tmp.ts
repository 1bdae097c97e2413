import { loadShaper, readProjectFolder } from '@hovrin/files';
import { sweep, ScreenView, boxAt } from './src/index.ts';
const sh = await loadShaper();
const r = await readProjectFolder('demo/velmora-hut'); if(!r.ok) throw 1;
const project=r.project; const screen=project.screens.find(s=>s.name==='Arrivals')!;
for(let k=0;k<4;k++){
let t=performance.now();
const parts=[...sweep(sh,project,screen,{from:280,to:1920,height:800})];
const t1=performance.now()-t;
t=performance.now(); const view=new ScreenView(sh); let n=0;
for(let w=280;w<=1920;w++){ n+=view.layOut(project,screen,{width:w,height:800}).boxes.length; }
const t2=performance.now()-t;
console.log(parts.length, t1.toFixed(1), t2.toFixed(1), (t2/t1).toFixed(1));
if(k===0){ let worst=0; const v=new ScreenView(sh);
 for(const {stretch} of parts){ for(let w=Math.ceil(stretch.from);w<=stretch.to;w++){ const l=v.layOut(project,screen,{width:w,height:800}); l.boxes.forEach((b,i)=>{const q=boxAt(stretch,i,w); [b.x,b.y,b.width,b.height].forEach((x,j)=>{worst=Math.max(worst,Math.abs(x-q[j]!))})}) } }
 console.log('worst',worst); for(const p of parts.slice(0,30)) console.log(p.stretch.from,p.stretch.to,p.change?.jump,JSON.stringify(p.change?.causes.slice(0,3))); }
}
