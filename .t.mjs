import { randomUUID } from 'node:crypto'
const { startPostgres } = await import('./scripts/lib/pg.mjs')
const { buildServer } = await import('./scripts/lib/build.mjs'); await buildServer();
const { startServer } = await import('./scripts/lib/serve.mjs')
import { begun } from './scripts/lib/phones.mjs'
import pg from 'pg'
import { readFileSync } from 'node:fs'
const cluster = await startPostgres({ throwaway: true })
const s = await startServer({ databaseUrl: cluster.url, port: 7311, seed:false, limiter:false, quiet:true, web:false, env: { NODE_OPTIONS: process.argv[2]==='prof' ? '--cpu-prof --cpu-prof-dir=/tmp/prof' : '' } })
const base='http://127.0.0.1:7311'
const { cookie, jobs } = await begun(base, s.code, 1)
let seq=0; const deviceId=randomUUID()
const send=async()=>{const nowS=Date.now()/1000; const r=await fetch(`${base}/api/jobs/${jobs[0]}/events`,{method:'POST',headers:{'content-type':'application/json',cookie},body:JSON.stringify({deviceId,sentAtDeviceS:nowS,clockErrorS:0,events:[{id:randomUUID(),kind:'place-set',v:1,jointId:null,atDeviceS:nowS,after:[],deviceSeq:++seq,data:{placeId:randomUUID(),name:'P'}}]})}); await r.text(); if(r.status!==200) throw new Error(r.status)}
for(let i=0;i<300;i++) await send()
const t=performance.now(); const N=1000
for(let i=0;i<N;i++) await send()
console.log('ms each', (performance.now()-t)/N)
const t9=performance.now(); for(let i=0;i<500;i++) await (await fetch(base+'/api/keys')).text(); console.log('GET keys', (performance.now()-t9)/500); const t8=performance.now(); for(let i=0;i<500;i++) await (await fetch(`${base}/api/jobs/${jobs[0]}/head`,{headers:{cookie}})).text(); console.log('GET head', (performance.now()-t8)/500)
await s.stop(); await cluster.stop()
