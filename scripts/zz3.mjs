import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
const { chromium, devices } = createRequire('/work/main/e2e/package.json')('@playwright/test');
const base = /BASE_URL=(\S+)/.exec(readFileSync('/tmp/stack.env','utf8'))[1];
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const context = await browser.newContext({ ...devices['Pixel 5'], baseURL: base });
const page = await context.newPage();
await page.goto('/sign-in'); await page.getByLabel('E-mail').fill('ann@halt.example'); await page.getByLabel('Password').fill('beside the old line'); await page.getByRole('button',{name:'Sign in'}).click();
await page.getByRole('heading', { name: 'Today' }).waitFor(); await page.waitForLoadState('networkidle').catch(()=>{});
const s = await context.newCDPSession(page);
await s.send('Emulation.setCPUThrottlingRate', { rate: 4 });
await page.evaluate(()=>{globalThis.t=[];new PerformanceObserver(l=>{for(const e of l.getEntries())globalThis.t.push([Math.round(e.startTime),Math.round(e.duration)])}).observe({type:'longtask'});});
const step=async(n,f)=>{await page.evaluate(()=>{globalThis.t=[]}); await f(); await page.waitForLoadState('networkidle').catch(()=>{}); await page.waitForTimeout(700); console.log(n, JSON.stringify(await page.evaluate(()=>globalThis.t.map(x=>x[1]))));};
for (let r=0;r<2;r++){
await step('shed',()=>page.getByRole('link',{name:'Shed'}).tap());
await step('handbook',()=>page.getByRole('link',{name:'Handbook',exact:true}).tap());
await step('garden',()=>page.getByRole('link',{name:'Garden',exact:true}).tap());
await step('plant',()=>page.getByRole('link',{name:'Junction Bell'}).last().tap());
await step('back',()=>page.goBack());
}
await browser.close();
