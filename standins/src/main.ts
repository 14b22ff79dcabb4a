import { startHoseTimer } from './hose-timer.js';
import { startMail } from './mail.js';
import { startMetNorway } from './met-norway.js';
import { startOpenMeteo } from './open-meteo.js';
import { startStation } from './station.js';

/** This seed gives the demo garden a hot spell in early July and a storm in June. */
const seed = Number(process.env.STATION_SEED ?? 45);
const station = await startStation(seed, Number(process.env.STATION_PORT ?? 0));
const timer = await startHoseTimer(Number(process.env.TIMER_PORT ?? 0));
const mail = await startMail(Number(process.env.SMTP_PORT ?? 0), Number(process.env.MAIL_PORT ?? 0));
const openMeteo = await startOpenMeteo(Date.now, Number(process.env.OPEN_METEO_PORT ?? 0));
const metNorway = await startMetNorway(Date.now, Number(process.env.MET_NORWAY_PORT ?? 0));
process.stdout.write(
  `station ${station.url}\ntimer ${timer.url}\nmail ${mail.url}\nopen-meteo ${openMeteo.url}\nmet-norway ${metNorway.url}\n`,
);
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(
    signal,
    () =>
      void Promise.all([station, timer, mail, openMeteo, metNorway].map((s) => s.close())).then(() => process.exit(0)),
  );
