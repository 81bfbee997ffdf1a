import { blurred, planeOf } from '@/core/proof/photograph/plane';
const p = planeOf(1400, 1050);
for (let i = 0; i < p.data.length; i++) p.data[i] = Math.random() * 100;
for (const s of [1.2, 1.5, 1.9, 2.4, 3.1, 1.2, 3.1]) { const t = performance.now(); blurred(p, s); console.log(s, Math.round(performance.now() - t)); }
for (const s of [0.5, 0.7, 1.2, 3.1, 8]) {
const q = planeOf(101, 101); q.data[50*101+50] = 1; const b = blurred(q, s); let m=0,v=0,h=0; for (let y=0;y<101;y++) for(let x=0;x<101;x++){ m+=b.data[y*101+x]!; v+=b.data[y*101+x]!*(x-50)**2; h+=b.data[y*101+x]!*(y-50)**2;} console.log(s, m, Math.sqrt(v), Math.sqrt(h)); }
