import { readFileSync } from 'node:fs';
import { readShootFile } from '../core/src/formats';
import { sceneOf } from '../core/src/scene';
import { plannedFilm } from '../core/src/motion';
import { depthRasterOf, NOTHING } from '../core/src/image';
import { CAMERA_SIZE, project } from '../core/src/optics';
import { openCvTracker, greyOf } from '../core/src/take';
import { flowsOf } from '../core/src/take/clip/clip-reader';
import { CELLS, wholeMotion, type Flow } from '../core/src/take/clip/whole-motion';
import * as F from '../core/src/take/clip/foretold';
const read:any = readShootFile(readFileSync('demo/first-flush.arc.json','utf8')); const shoot=read.shoot??read;
const tracker=await openCvTracker();
const med=(v:number[])=>{v=[...v].sort((a,b)=>a-b);return v[v.length>>1]};
const byCell=(flows:Flow[],aspect:number)=>{const m=new Map<number,Flow[]>();for(const f of flows){const x=Math.floor((f.u+.5)*CELLS.across),y=Math.floor((.5-f.w*aspect)*CELLS.down);if(x<0||y<0||x>=CELLS.across||y>=CELLS.down)continue;const k=y*CELLS.across+x;(m.get(k)??m.set(k,[]).get(k)!).push(f);}
 return new Map([...m].map(([k,r])=>[k,{u:med(r.map(f=>f.u)),w:med(r.map(f=>f.w)),du:med(r.map(f=>f.du)),dw:med(r.map(f=>f.dw)),n:r.length}]))};
for(const id of process.argv.slice(3)){
 const {w,h,times}=JSON.parse(readFileSync(`/tmp/${id}.json`,'utf8')); const all=readFileSync(`/tmp/${id}.grey`);
 const film=plannedFilm(sceneOf(shoot,shoot.shots.find((s:any)=>s.id===id)));
 const {samples,scene}=film; const raster=depthRasterOf(scene,samples,+(process.env.RC??36)); const aspect=samples.frameWidthMm/samples.frameHeightMm;
 const small=process.argv[2]!=='1';
 const grey=(i:number)=>{const px=new Uint8Array(all.buffer,all.byteOffset+i*w*h,w*h);return small?greyOf(px,w,h,1):{widthPx:w,heightPx:h,pixels:px.slice(),fullWidthPx:w}};
 let prev=grey(0); const sums:any={};const add=(k:string,p:number,s:number)=>{const a=sums[k]??=[0,0];a[0]+=p*s;a[1]+=p*p};
 let cellsN=0,rows=0;
 for(let i=1;i<times.length;i++){const cur=grey(i); const seen=byCell(flowsOf(tracker.follow(prev,cur),prev),aspect); prev=cur;
  if(i%3) continue;
  // plan flows from row i-1 to i
  const {widthCells,heightCells,nearness,pieceAt}=raster(i-1); const flows:Flow[]=[]; const cam=samples.cameras.subarray((i-1)*CAMERA_SIZE,i*CAMERA_SIZE); const out={u:0,w:0,depthM:0};
  for(let y=0;y<heightCells;y++)for(let x=0;x<widthCells;x++){const c=y*widthCells+x;const [u,ww]=[(x+.5)/widthCells-.5,(.5-(y+.5)/heightCells)/aspect];const thing=pieceAt[c]===NOTHING?null:scene.things[pieceAt[c]];if(thing?.walks)continue;const d=thing?1/nearness[c]:(F as any).groundM(cam,samples.focalLengthMm[i-1]/samples.frameWidthMm,u,ww);const p=(F as any).placeAt(cam,samples.focalLengthMm[i-1]/samples.frameWidthMm,u,ww,d);project(samples.cameras,i*CAMERA_SIZE,p[0],p[1],p[2],out);if(out.depthM>0)flows.push({u,w:ww,du:out.u-u,dw:out.w-ww});}
  const plan=byCell(flows,aspect);
  const keys=[...plan.keys()].filter(k=>seen.has(k)); cellsN+=keys.length;rows++;
  const A=keys.map(k=>plan.get(k)!),B=keys.map(k=>seen.get(k)!);
  const wa=wholeMotion(A),wb=wholeMotion(B); if(!wa||!wb)continue;
  add('right',wa.right,wb.right);add('up',wa.up,wb.up);add('grow',wa.growth,wb.growth);add('whole',wa.right,wb.right);add('whole',wa.up,wb.up);add('all4',wa.right,wb.right);add('all4',wa.up,wb.up);add('all4',wa.growth*.29,wb.growth*.29);
  const sp=Math.hypot(wa.right,wa.up);if(sp<1e-5)continue;const [x,y]=[wa.right/sp,wa.up/sp];
  const al=A.map((f,k)=>[f.du*x+f.dw*y,B[k].du*x+B[k].dw*y]).sort((p,q)=>p[0]-q[0]);const t=Math.max(1,Math.floor(al.length/3));
  const m=(r:number[][],j:number)=>r.reduce((s,v)=>s+v[j],0)/r.length; const md=(r:number[][],j:number)=>med(r.map(v=>v[j]));
  add('far',m(al.slice(0,t),0),m(al.slice(0,t),1));add('near',m(al.slice(-t),0),m(al.slice(-t),1));
  add('farM',md(al.slice(0,t),0),md(al.slice(0,t),1));add('nearM',md(al.slice(-t),0),md(al.slice(-t),1));
  A.forEach((f,k)=>{add('cells',f.du,B[k].du);add('cells',f.dw,B[k].dw)});
 }
 console.log(id,small?'small':w,'cells a row',(cellsN/rows).toFixed(0),Object.entries(sums).map(([k,[a,b]]:any)=>k+' '+(100*a/b).toFixed(1)).join(', '));
}
if(process.env.SHOW){ const id=process.argv[3]; const i=+process.env.SHOW; 
 const {w,h}=JSON.parse(readFileSync(`/tmp/${id}.json`,'utf8')); const all=readFileSync(`/tmp/${id}.grey`);
 const film=plannedFilm(sceneOf(shoot,shoot.shots.find((s:any)=>s.id===id))); const {samples,scene}=film; const raster=depthRasterOf(scene,samples,36); const aspect=samples.frameWidthMm/samples.frameHeightMm;
 const grey=(i:number)=>{const px=new Uint8Array(all.buffer,all.byteOffset+i*w*h,w*h);return process.argv[2]==='1'?{widthPx:w,heightPx:h,pixels:px.slice(),fullWidthPx:w}:greyOf(px,w,h,1)};
 const seen=byCell(flowsOf(tracker.follow(grey(i-1),grey(i)),grey(i)),aspect);
 const {widthCells,heightCells,nearness,pieceAt}=raster(i-1); const flows:Flow[]=[]; const cam=samples.cameras.subarray((i-1)*CAMERA_SIZE,i*CAMERA_SIZE); const out={u:0,w:0,depthM:0};
 const names=new Map<number,string>();
 for(let y=0;y<heightCells;y++)for(let x=0;x<widthCells;x++){const c=y*widthCells+x;const [u,ww]=[(x+.5)/widthCells-.5,(.5-(y+.5)/heightCells)/aspect];const thing=pieceAt[c]===NOTHING?null:scene.things[pieceAt[c]];names.set(Math.floor((ww*-1*aspect+.5)*8)*12+Math.floor((u+.5)*12),(thing as any)?.piece?.name??(thing as any)?.name??'-');const d=thing?1/nearness[c]:(F as any).groundM(cam,samples.focalLengthMm[i-1]/samples.frameWidthMm,u,ww);const p=(F as any).placeAt(cam,samples.focalLengthMm[i-1]/samples.frameWidthMm,u,ww,d);project(samples.cameras,i*CAMERA_SIZE,p[0],p[1],p[2],out);if(out.depthM>0)flows.push({u,w:ww,du:out.u-u,dw:out.w-ww});}
 const plan=byCell(flows,aspect);
 for(let y=0;y<8;y++)console.log(Array.from({length:12},(_,x)=>{const k=y*12+x;const a=plan.get(k),b=seen.get(k);return (a?(a.du*1000).toFixed(0):'.').padStart(4)+'/'+(b?(b.du*1000).toFixed(0):'.').padEnd(3)+(names.get(k)??'').slice(0,4).padEnd(4)}).join(' '));
}
