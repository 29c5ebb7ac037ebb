import { readFileSync, writeFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
const { base, jobs } = JSON.parse(readFileSync('/tmp/rig.json'))
const [size='100', phone='0', place='wait', prof='1'] = process.argv.slice(2)
const job = jobs[size]
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox','--disable-gpu'] })
const context = await browser.newContext(phone==='1' ? { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } : { viewport: { width: 1280, height: 800 } })
await context.request.post(`${base}/api/session`, { data: { login: 'wren', password: 'tide-and-pipe' } })
const page = await context.newPage()
const client = await context.newCDPSession(page)
await client.send('Network.enable'); await client.send('Profiler.enable')
if (phone==='1') {
  await client.send('Network.emulateNetworkConditions', { downloadThroughput: 2e5, uploadThroughput: 9e4, latency: 150, offline: false })
  await client.send('Emulation.setCPUThrottlingRate', { rate: 4 })
}
const t00=performance.now()
const urls=new Map()
client.on('Network.requestWillBeSent', ({requestId,request})=>urls.set(requestId,[request.url.replace(base,''),performance.now()]))
let tt=0
client.on('Network.loadingFinished', ({requestId,encodedDataLength})=>{const u=urls.get(requestId); if(u&&/api|\.js|\.css/.test(u[0])) console.log('   ',(u[1]-tt|0),'→',(performance.now()-tt|0),encodedDataLength,u[0].slice(0,90))})
async function headline(url){
  tt=performance.now()
  if(prof==='1'){await client.send('Profiler.setSamplingInterval',{interval:1000}); await client.send('Profiler.start')}
  const began=performance.now()
  await page.goto(url,{waitUntil:'commit'})
  await page.waitForFunction(()=>{const s=document.querySelector('h1')?.textContent?.trim()??'';return s.length>3&&!document.querySelector('[aria-busy=true]')},null,{timeout:180000,polling:30})
  const t=performance.now()-began
  if(prof==='1'){
    const {profile}=await client.send('Profiler.stop')
    const self=new Map(); const dt=profile.timeDeltas; const byId=new Map(profile.nodes.map(n=>[n.id,n]))
    const parent=new Map(); for(const n of profile.nodes) for(const c of n.children??[]) parent.set(c,n.id)
    const tot=new Map()
    profile.samples.forEach((id,i)=>{ const n=byId.get(id); const d=dt[i]/1000; const k=n.callFrame.functionName+' '+n.callFrame.url.split('/').pop()+':'+n.callFrame.lineNumber+':'+n.callFrame.columnNumber; self.set(k,(self.get(k)??0)+d)
      const seen=new Set(); for(let p=id;p!==undefined;p=parent.get(p)){const m=byId.get(p);const kk=m.callFrame.functionName+' '+m.callFrame.url.split('/').pop()+':'+m.callFrame.lineNumber+':'+m.callFrame.columnNumber;if(!seen.has(kk)){seen.add(kk);tot.set(kk,(tot.get(kk)??0)+d)}}})
    const top=(m,n)=>[...m].sort((a,b)=>b[1]-a[1]).slice(0,n).map(([k,v])=>`     ${Math.round(v)} ${k}`).join('\n')
    console.log('SELF\n'+top(self,22)); console.log('TOTAL\n'+top(tot,40))
  }
  return t
}
const url=`${base}/job/${job.jobId}/${place}${place==='wait'?'/'+job.sectionIds[0]:''}`
console.log('first', await headline(url)); console.log(await page.locator('h1').textContent())
await page.waitForTimeout(phone==='1'?15000:5000)
console.log('again', await headline(url))
await client.send('HeapProfiler.collectGarbage'); console.log('heap', (await client.send('Runtime.getHeapUsage')).usedSize/1e6)
await browser.close()
