import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
const { chromium, devices } = createRequire('/work/main/e2e/package.json')('@playwright/test');
const base = /BASE_URL=(\S+)/.exec(readFileSync('/tmp/stack.env','utf8'))[1];
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const context = await browser.newContext({ ...devices['Pixel 5'], baseURL: base, serviceWorkers:'block' });
const page = await context.newPage();
await page.goto('/sign-in'); await page.getByLabel('E-mail').fill('ann@halt.example'); await page.getByLabel('Password').fill('beside the old line'); await page.getByRole('button',{name:'Sign in'}).click();
await page.getByRole('heading', { name: 'Today' }).waitFor(); await page.waitForLoadState('networkidle').catch(()=>{});
const s = await context.newCDPSession(page);
await s.send('Emulation.setCPUThrottlingRate', { rate: 4 });
await s.send('Profiler.enable'); await s.send('Profiler.setSamplingInterval',{interval:500});
const plants = await page.getByRole('list', { name: /^Plants of/ }).getByRole('link').all();
for (const i of [0,1]) {
await s.send('Profiler.start');
await plants[i].tap(); await page.getByRole('region',{name:'The plant'}).waitFor(); await page.waitForLoadState('networkidle').catch(()=>{}); await page.waitForTimeout(800);
const { profile } = await s.send('Profiler.stop');
const byId = new Map(profile.nodes.map(n=>[n.id,n])); const self={}; profile.samples.forEach((id,k)=>{self[id]=(self[id]||0)+profile.timeDeltas[k]/1000;});
const total={}; const visit=(n,stack)=>{ let t=self[n.id]||0; for(const c of n.children||[]) t+=visit(byId.get(c),[...stack,n.callFrame.functionName]); if(!stack.includes(n.callFrame.functionName)) total[n.callFrame.functionName]=(total[n.callFrame.functionName]||0)+t; return t;};
visit(profile.nodes[0],[]);
const selfBy={}; for(const n of profile.nodes) selfBy[n.callFrame.functionName]=(selfBy[n.callFrame.functionName]||0)+(self[n.id]||0);
console.log(i,'TOTAL',Object.entries(total).sort((a,b)=>b[1]-a[1]).slice(0,70).map(([k,v])=>k+' '+v.toFixed(0)).join(', '));
console.log(i,'SELF',Object.entries(selfBy).sort((a,b)=>b[1]-a[1]).slice(0,30).map(([k,v])=>k+' '+v.toFixed(0)).join(', '));
await page.goBack(); await page.getByRole('heading',{name:'Today'}).waitFor();
}
await browser.close();
