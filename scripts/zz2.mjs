import { createRequire } from 'node:module';
import { readFileSync, writeFileSync } from 'node:fs';
const { chromium, devices } = createRequire('/work/main/e2e/package.json')('@playwright/test');
const base = /BASE_URL=(\S+)/.exec(readFileSync('/tmp/stack.env','utf8'))[1];
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const context = await browser.newContext({ ...devices['Pixel 5'], baseURL: base });
const page = await context.newPage();
await page.goto('/sign-in'); await page.getByLabel('E-mail').fill('ann@halt.example'); await page.getByLabel('Password').fill('beside the old line'); await page.getByRole('button',{name:'Sign in'}).click();
await page.getByRole('heading', { name: 'Today' }).waitFor(); await page.waitForLoadState('networkidle').catch(()=>{});
const s = await context.newCDPSession(page);
await s.send('Emulation.setCPUThrottlingRate', { rate: 4 });
const events=[]; s.on('Tracing.dataCollected', e=>events.push(...e.value));
const plants = await page.getByRole('list', { name: /^Plants of/ }).getByRole('link').all();
for (const i of [0,1]) {
events.length=0;
await s.send('Tracing.start',{transferMode:'ReportEvents',traceConfig:{includedCategories:['toplevel','disabled-by-default-devtools.timeline','devtools.timeline','v8.execute','disabled-by-default-v8.cpu_profiler','disabled-by-default-devtools.timeline']}});
await plants[i].tap(); await page.getByRole('region',{name:'The plant'}).waitFor(); await page.waitForLoadState('networkidle').catch(()=>{}); await page.waitForTimeout(600);
const done=new Promise(r=>s.once('Tracing.tracingComplete',r)); await s.send('Tracing.end'); await done;
const main = events.find(e=>e.name==='thread_name'&&e.args.name==='CrRendererMain');
const cnt={}; for(const e of events) if(['Layout','FunctionCall','UpdateLayoutTree','RunMicrotasks'].includes(e.name)) cnt[e.pid+'/'+e.tid]=(cnt[e.pid+'/'+e.tid]||0)+(e.dur||0); const top=Object.entries(cnt).sort((a,b)=>b[1]-a[1])[0][0];
const own = events.filter(e=>e.pid+'/'+e.tid===top && e.dur);
const tasks = own.filter(e=>e.name==='RunTask'&&e.dur>50000).sort((a,b)=>a.ts-b.ts);
for (const t of tasks){ const inside=own.filter(e=>e.ts>=t.ts&&e.ts+e.dur<=t.ts+t.dur&&e!==t); const sum={}; for(const e of inside){ if(['Layout','UpdateLayoutTree','Paint','PrePaint','FunctionCall','EvaluateScript','v8.compile','v8.evaluateModule','RunMicrotasks','TimerFire','EventDispatch','FireAnimationFrame','MinorGC','MajorGC','Layerize','Commit','v8.parseOnBackground','v8.compileModule','XHRReadyStateChange','ParseHTML','HitTest'].includes(e.name)) sum[e.name]=(sum[e.name]||0)+e.dur/1000; }
 console.log(i,'task',(t.dur/1000).toFixed(0),JSON.stringify(Object.fromEntries(Object.entries(sum).filter(x=>x[1]>8).map(([k,v])=>[k,Math.round(v)])))); }
await page.goBack(); await page.getByRole('heading',{name:'Today'}).waitFor();
}
await browser.close();
