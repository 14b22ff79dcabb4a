// How quick the page answers a thumb: on a phone four times as slow, the longest task while a plant opens, and the time from a touch to
// the next paint for what is done daily. For measuring only.
import { setTimeout as wait } from 'node:timers/promises';
import { demoOnAPhone } from './demo-on-a-phone.mjs';
import { say } from './say.mjs';

const line = (what, figure) => say(`${what.padEnd(58)} ${figure}`);

export async function quickOnAPhone(url, account) {
  const { browser, context, page } = await demoOnAPhone(url, account);
  await page.waitForLoadState('networkidle').catch(() => {});
  // the garden is looked at before a plant is touched
  await wait(3000);
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await page.evaluate(() => {
    globalThis.seen = { tasks: [], events: [] };
    new globalThis.PerformanceObserver((list) => {
      for (const e of list.getEntries()) globalThis.seen.tasks.push(e.duration);
    }).observe({ type: 'longtask' });
    new globalThis.PerformanceObserver((list) => {
      for (const e of list.getEntries()) if (e.interactionId) globalThis.seen.events.push(e.duration);
    }).observe({ type: 'event', durationThreshold: 16 });
  });
  const during = async (work) => {
    await page.evaluate(() => {
      globalThis.seen.tasks = [];
      globalThis.seen.events = [];
    });
    await work();
    await page.waitForLoadState('networkidle').catch(() => {});
    // what is still to be told of the last paint
    await page.evaluate(() => new Promise((done) => setTimeout(done, 500)));
    const { tasks, events } = await page.evaluate(() => globalThis.seen);
    return { longest: Math.max(0, ...tasks), paint: Math.max(0, ...events) };
  };
  const plants = await page
    .getByRole('list', { name: /^Plants in/ })
    .getByRole('link')
    .all();
  const open = [];
  for (const i of [0, 1, 2]) {
    open.push(
      await during(async () => {
        await plants[i].tap();
        // found by its address, and waited for long enough: a look for it by its role would cost the page more than the page itself
        await page.waitForURL(/\/plants\//);
        await wait(2500);
      }),
    );
    await page.goBack();
    await page.getByRole('heading', { name: 'Today' }).waitFor();
  }
  const ms = (list, key) => list.map((o) => o[key].toFixed(0)).join(', ');
  line('Opening a plant on a phone four times as slow, longest task', `${ms(open, 'longest')} ms   aim none over 50`);
  line('  from the touch to the next paint', `${ms(open, 'paint')} ms   aim under 200`);
  const clear = await during(() =>
    page
      .getByRole('button', { name: /: all clear$/ })
      .first()
      .tap(),
  );
  line('  all clear', `${clear.paint.toFixed(0)} ms   aim under 200`);
  // the garden is asked for anew after a record
  await wait(2000);
  const water = await during(async () => {
    await page
      .getByRole('button', { name: /^Water/ })
      .first()
      .tap();
    await page
      .getByRole('dialog')
      .or(page.getByRole('menu'))
      .first()
      .waitFor({ timeout: 3000 })
      .catch(() => {});
  });
  line('  water', `${water.paint.toFixed(0)} ms   aim under 200`);
  await page.keyboard.press('Escape');
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
  await plants[1].tap();
  const look = await during(async () => {
    await page
      .getByRole('link', { name: /Look it over/ })
      .first()
      .tap();
    await page.getByRole('button', { name: 'All clear' }).first().waitFor();
  });
  line('  look', `${look.paint.toFixed(0)} ms   aim under 200`);
  await browser.close();
}
