import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { ALL_FORMATS, BufferSource, EncodedPacketSink, Input } from 'mediabunny';
const browser = await chromium.launch({executablePath:'/usr/bin/chromium', args:['--no-sandbox','--enable-unsafe-swiftshader','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync']});
const context=await browser.newContext({viewport:{width:1280,height:800},serviceWorkers:'block'});
await context.addInitScript(()=>{const post=Worker.prototype.postMessage; Worker.prototype.postMessage=function(m,...r){ const look=(x,d)=>{ if(x instanceof Blob) window.__blob=x; else if(x&&typeof x==='object'&&d<5&&!ArrayBuffer.isView(x)) for(const k of Object.keys(x).slice(0,20)) look(x[k],d+1); }; look(m,0); return post.call(this,m,...r); };});
for(const shot of process.argv.slice(2)){
 const page=await context.newPage();
 await page.goto(`http://localhost:4388/shoot/first-flush/takes?shot=${shot}`);
 await page.getByRole('button', { name: 'Footage', exact: true }).click();
 await page.getByRole('button', { name: 'Try it on our own film' }).click();
 const said = page.getByText('Of what was foretold this was measured');
 await said.waitFor({ timeout: 600_000 });
 console.log(shot,(await said.innerText()).replace(/\s+/g,' '));
 const b64=await page.evaluate(async()=>{const b=new Uint8Array(await window.__blob.arrayBuffer());let s='';for(let i=0;i<b.length;i+=32768)s+=String.fromCharCode(...b.subarray(i,i+32768));return btoa(s)});
 const webm=Buffer.from(b64,'base64'); writeFileSync(`/tmp/${shot}.webm`,webm);
 const input=new Input({formats:ALL_FORMATS,source:new BufferSource(new Uint8Array(webm))}); const track=await input.getPrimaryVideoTrack();
 const packets=[];const times=[]; for await(const p of new EncodedPacketSink(track).packets()){packets.push([p.type,Buffer.from(p.data).toString('base64')]);times.push(p.timestamp)}
 const config=await track.getDecoderConfig(); const [w,h]=[track.displayWidth,track.displayHeight];
 const all=Buffer.alloc(packets.length*w*h); let n=0;
 await page.exposeFunction('frame',(i,g)=>{Buffer.from(g,'base64').copy(all,i*w*h);n++});
 await page.evaluate(async([packets,codec,w,h])=>{
  const c=new OffscreenCanvas(w,h),x=c.getContext('2d',{willReadFrequently:true}); const q=[];let i=0;
  const d=new VideoDecoder({output:f=>q.push(f),error:e=>console.log(e)}); d.configure({codec,codedWidth:w,codedHeight:h});
  const drain=async()=>{while(q.length){const f=q.shift();x.drawImage(f,0,0,w,h);f.close();const p=x.getImageData(0,0,w,h).data;const g=new Uint8Array(w*h);for(let k=0;k<g.length;k++)g[k]=0.2126*p[4*k]+0.7152*p[4*k+1]+0.0722*p[4*k+2]+0.5;let s='';for(let k=0;k<g.length;k+=32768)s+=String.fromCharCode(...g.subarray(k,k+32768));await window.frame(i++,btoa(s));}};
  for(const [k,[type,b]] of packets.entries()){d.decode(new EncodedVideoChunk({type,timestamp:k*1000,data:Uint8Array.from(atob(b),ch=>ch.charCodeAt(0))}));if(k%5===4){await new Promise(r=>setTimeout(r,0));await drain();}}
  await d.flush();await drain();
 },[packets,config.codec,w,h]);
 writeFileSync(`/tmp/${shot}.grey`,all);writeFileSync(`/tmp/${shot}.json`,JSON.stringify({w,h,times}));console.log(shot,w,h,times.length,n);
 await page.close();
}
await browser.close();
