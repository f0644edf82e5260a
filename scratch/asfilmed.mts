import { readFileSync } from 'node:fs';
import { readShootFile } from '../core/src/formats';
import { sceneOf } from '../core/src/scene';
import { plannedFilm } from '../core/src/motion';
import { openCvTracker, greyOf } from '../core/src/take';
import { flowsOf } from '../core/src/take/clip/clip-reader';
import { AsFilmed } from '../core/src/take/clip/as-filmed';
const read:any = readShootFile(readFileSync('demo/first-flush.arc.json','utf8')); const shoot=read.shoot??read;
const tracker=await openCvTracker();
for(const id of process.argv.slice(3)){
 const {w,h,times}=JSON.parse(readFileSync(`/tmp/${id}.json`,'utf8')); const all=readFileSync(`/tmp/${id}.grey`);
 const film=plannedFilm(sceneOf(shoot,shoot.shots.find((s:any)=>s.id===id)));
 const as=new AsFilmed(film); const grey=(i:number)=>{const px=new Uint8Array(all.buffer,all.byteOffset+i*w*h,w*h);return process.argv[2]==='1'?{widthPx:w,heightPx:h,pixels:px.slice(),fullWidthPx:w}:greyOf(px,w,h,1)};
 let prev=grey(0); let t=0; for(let i=1;i<times.length;i++){const cur=grey(i);const f=flowsOf(tracker.follow(prev,cur),prev);const t0=performance.now();as.add(i-1,f);t+=performance.now()-t0;prev=cur;}
 const x=as.times(); console.log((globalThis as any).D.map((d:any)=>(d[0]/d[1]).toFixed(3)+' of '+Math.sqrt(d[1]).toFixed(4)+' err '+Math.sqrt(d[2]).toFixed(4)).join('; '));(globalThis as any).D=undefined; console.log(id,process.argv[2],Object.entries(x).map(([k,v])=>k+' '+(v===null?'-':(100*v).toFixed(1))).join(', '),(t/times.length).toFixed(1),'ms');
}
