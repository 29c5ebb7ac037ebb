import { build } from 'vite'
import { readFileSync } from 'node:fs'
import z from 'node:zlib'
const groups = { none: undefined, t30: [{ name:'shared', minShareCount:2, entriesAware:true, entriesAwareMergeThreshold:30000}], t60:[{ name:'shared', minShareCount:2, entriesAware:true, entriesAwareMergeThreshold:60000}],
 t15:[{ name:'shared', minShareCount:2, entriesAware:true, entriesAwareMergeThreshold:15000}] }
for (const key of process.argv.slice(2)) {
  process.env.CH=key
  await build({ root:'web', configFile:'web/vite.config.ts', logLevel:'error', build:{ outDir:'/tmp/ch', emptyOutDir:true, manifest:true } })
  const m=JSON.parse(readFileSync('/tmp/ch/.vite/manifest.json'))
  const closure=(k,seen=new Set())=>{ if(seen.has(k)) return seen; seen.add(k); for(const i of m[k].imports??[]) closure(i,seen); return seen }
  const size=new Map(); const gz=f=>{ if(!size.has(f)) size.set(f, z.brotliCompressSync(readFileSync('/tmp/ch/'+f),{params:{[z.constants.BROTLI_PARAM_QUALITY]:5}}).length); return size.get(f) }
  const tell=keys=>{ const files=new Set(); const css=new Set(); for(const k of keys){ files.add(m[k].file); for(const c of m[k].css??[]) css.add(c) } let b=0; for(const f of files) b+=gz(f); let cb=0; for(const f of css) cb+=gz(f); return `${files.size} js ${(b/1000)|0} kB, ${css.size} css ${(cb/1000)|0} kB` }
  const entry='index.html'
  console.log(key,'first', tell(closure(entry)))
  const frame=closure('src/frame/JobFrame.vue', new Set(closure(entry)))
  for (const p of ['wait/Wait','make/Make','set-out/SetOut','prove/Prove','cut/Cut','hand-over/HandOver','site/Site','store/Store','plan/Plan','practice/Practice','handbook/Handbook','jobs/Jobs']) {
    const base = p==='jobs/Jobs' ? closure(entry) : frame
    console.log('   ',p, tell(closure(`src/places/${p}.vue`, new Set(base)))) }
}
