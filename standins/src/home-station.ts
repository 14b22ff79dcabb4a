/** What a home station measures now. */
export interface Measured {
  tempC: number;
  humidity: number;
  windMs: number;
  sunWm2: number;
  /** rain since midnight, mm */
  rainMm: number;
}

/** A home station that sends by itself: as consumer stations do, or as a gateway. US units; fields from memory. */
export interface HomeStation {
  /** GET with ID and PASSWORD in the query */
  upload(m: Measured, at: Date | 'now'): Promise<Response>;
  /** POST of a form */
  report(m: Measured, at: Date | 'now'): Promise<Response>;
}

/** @param url address of the server @param key of the garden */
export function homeStation(url: string, key: string): HomeStation {
  return {
    upload: (m, at) => {
      const query = new URLSearchParams({ ID: 'garden', PASSWORD: key, action: 'updateraw', ...fields(m, at) });
      return fetch(`${url}/weatherstation/updateweatherstation.php?${query.toString()}`);
    },
    report: (m, at) =>
      fetch(`${url}/api/stations/${key}/report`, {
        method: 'POST',
        body: new URLSearchParams({
          PASSKEY: '0123456789ABCDEF0123456789ABCDEF',
          stationtype: 'gateway',
          tempinf: '71.6',
          ...fields(m, at),
        }),
      }),
  };
}

const fields = (m: Measured, at: Date | 'now'): Record<string, string> => ({
  dateutc: at === 'now' ? 'now' : at.toISOString().slice(0, 19).replace('T', ' '),
  tempf: (m.tempC * 1.8 + 32).toFixed(2),
  humidity: String(m.humidity),
  windspeedmph: (m.windMs / 0.44704).toFixed(2),
  solarradiation: String(m.sunWm2),
  dailyrainin: (m.rainMm / 25.4).toFixed(3),
});
