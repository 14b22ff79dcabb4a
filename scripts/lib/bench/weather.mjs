import { row, timed } from './timed.mjs';

/** Most uploads of a station in a minute, less those that do not count. */
const UPLOADS = 24;

/** How quickly a home station is answered. */
export async function uploads(stack, send, gardenId) {
  const { key } = JSON.parse(await send('POST', `/gardens/${gardenId}/weather/station`));
  const report = async () => {
    const body = new URLSearchParams({
      dateutc: 'now',
      tempf: '71.6',
      humidity: '60',
      dailyrainin: '0.1',
      soilmoisture1: '40',
    });
    const answer = await fetch(`${stack.url}/api/stations/${key}/report`, { method: 'POST', body });
    if ((await answer.text()) !== 'success\n') throw new Error(`an upload got ${answer.status}`);
  };
  row('An upload of a home station, with a soil probe', await timed(UPLOADS, report), 'under 30');
}
