import { readFileSync } from 'node:fs';
import { readShootFile } from '../core/src/formats';
import { sceneOf } from '../core/src/scene';
import { plannedFilm } from '../core/src/motion';
import { ClipReader, foretold, openCvTracker, timesAsFilmed, greyOf, clipAgainstPlan } from '../core/src/take';
const read:any = readShootFile(readFileSync('demo/first-flush.arc.json','utf8')); const shoot=read.shoot??read;
const tracker=await openCvTracker();
for(const id of process.argv.slice(3)){
 const {w,h,times}=JSON.parse(readFileSync(`/tmp/${id}.json`,'utf8')); const all=readFileSync(`/tmp/${id}.grey`);
 const film=plannedFilm(sceneOf(shoot,shoot.shots.find((s:any)=>s.id===id)));
 const plan=foretold(film);
 const step=+process.argv[2];
 const reader=new ClipReader(tracker);
 const t0=performance.now();
 times.forEach((t:number,i:number)=>{ const px=new Uint8Array(all.buffer,all.byteOffset+i*w*h,w*h);
   let f; if(step===1) f={widthPx:w,heightPx:h,pixels:px.slice(),fullWidthPx:w}; else f=greyOf(px,w,h,1);
   reader.add(f,t-times[0]);});
 const ms=(performance.now()-t0)/times.length;
 const frames=reader.frames();
 const p=(x:number|null)=>x===null?'-':(100*x).toFixed(1);
 const x=timesAsFilmed(plan,frames); console.log(id,'width',frames.length&&step===1?w:'small',ms.toFixed(1),'ms; whole',p(x.whole),'near',p(x.near),'far',p(x.far));
 for(let i=10;i<frames.length;i+=Math.floor(frames.length/14)){const f=frames[i]; console.log('  ',f.tS.toFixed(2),'R',plan.rightwards[i].toFixed(3),f.rightwards.toFixed(3),'U',plan.upwards[i].toFixed(3),f.upwards.toFixed(3),'N',plan.near[i].toFixed(3),f.near.toFixed(3),'F',plan.far[i].toFixed(3),f.far.toFixed(3),'foll',f.followed.toFixed(2));}
}
