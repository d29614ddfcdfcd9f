import { chromium } from 'playwright';
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
const db='/tmp/sh/stash.db'; mkdirSync('/tmp/sh',{recursive:true});
if (process.env.SEED) { rmSync('/tmp/sh',{recursive:true}); mkdirSync('/tmp/sh'); const r=spawnSync(process.execPath,['apps/server/dist/seed.js'],{env:{...process.env,RED_SHELF_DB:db,RED_SHELF_TODAY:'2026-06-01'}}); if(r.status) throw new Error(r.stderr.toString()); }
const server=spawn(process.execPath,['apps/server/dist/main.js'],{env:{...process.env,RED_SHELF_DB:db,PORT:'4799'},stdio:'ignore'});
await new Promise(r=>setTimeout(r,2500));
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--headless','--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync']});
try{
  const steps=(await import(process.env.STEPS!)).default;
  for (const size of (process.env.SIZE??'wide,phone').split(',')) {
    const page=await b.newPage({viewport: size==='wide'?{width:1280,height:800}:{width:390,height:844}, hasTouch: size!=='wide'});
    page.on('console',m=>m.type()==='error'&&console.log('ERR',m.text())); page.on('pageerror',e=>console.log('PAGEERR',e.message));
    await steps(page,'http://127.0.0.1:4799',size,(n:string)=>page.screenshot({path:`/tmp/sh/${n}-${size}.png`}));
    await page.close();
  }
} finally { await b.close(); server.kill('SIGKILL'); }
