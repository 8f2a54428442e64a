import { plan } from '../src/core/planner/plan';
const N = (s: string) => s.trim().split(/\s+/).map((w) => { const m = /^(r|[A-G][#b]?\d)(?:\/([\d.]+))?(\(?)$/.exec(w)!; return m[1]==='r' ? { rest: true, beats: Number(m[2]??1) } : { pitches: [m[1]], beats: Number(m[2]??1), ...(m[3]?{slur:true}:{}) }; });
const show = (r: any) => { const t0=performance.now(); const res = plan(r); const ms=performance.now()-t0; for (const p of res.plans) console.log(p.cost.toFixed(2), ms.toFixed(0)+'ms', JSON.stringify(p.way??''), JSON.stringify(Object.fromEntries(Object.entries(p.terms).map(([k,v])=>[k,+(v as number).toFixed(2)]))), p.steps.map((s) => s.stops.map((x) => x.string[0] + x.finger).join('+') + '@' + s.position).join(' ')); console.log(JSON.stringify(res.problems), res.events.map((e:any)=>e.phrase?`${e.at}:${e.phrase}`:'').join('')); };
const req = (inst: string, notes: string, more: any = {}) => ({ instrument: inst, material: { type: 'notes', key: 'D major', notes: N(notes) }, alternatives: 1, explain: 'nothing', ...more });
show(req('violin', 'A4 B4 C#5 D5 E5 F#5 r/2 F#5 E5 D5 C#5 B4 A4 r/1 D5 E5 F#5 G5 A5 B5'));
show(req('violin', 'A4 B4 C#5 D5 E5 F#5 r/2 F#5 E5 D5 C#5 B4 A4 r/1 D5 E5 F#5 G5 A5 B5', {rules:{places:[{from:0,to:5,positions:{only:[3]}}]}}));
show(req('violin', 'E5 F#5 G5 A5 B5 A5 G5 F#5 C5 D5 E5 F#5 G5 A5 B5 A5 G5 F#5', {}));
show(req('violin', 'E5 F#5 G5 A5 B5 A5 G5 F#5 C5 D5 E5 F#5 G5 A5 B5 A5 G5 F#5', {rules:{locks:[{at:11,position:3}]}}));
show(req('violin', 'E5 F#5 G5 A5 B5 A5 G5 F#5 C5 D5 E5 F#5 G5 A5 B5 A5 G5 F#5', {rules:{locks:[{at:3,position:3}],same:[{from:10,to:17,as:0}]}}));
