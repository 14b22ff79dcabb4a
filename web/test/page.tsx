import type { GardenDto } from '@candid-leaf/contract';
import { METRIC, type Units } from '@candid-leaf/core/units';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { GardenContext } from '../src/lib/garden-context';
import { registerWrites } from '../src/lib/writes';
import { ToastArea } from '../src/ui/toast';

// jsdom has no layout to scroll
Element.prototype.scrollIntoView ??= () => undefined;

export const TODAY = '2026-07-18';
export const gardenWith = (units: Partial<Units> = {}): GardenDto => ({
  id: 'garden',
  name: 'Halt',
  version: 1,
  latitude: 45,
  longitude: 9,
  elevationM: 100,
  today: TODAY,
  timeZone: 'Europe/Rome',
  units: { ...METRIC, ...units },
  weekStart: 'monday',
  dateForm: 'd MMMM',
});

export interface Sent {
  method: string;
  path: string;
  body: unknown;
}
type Answer = { status: number; body?: unknown };

/** A server under the test's thumb: what was sent stands in `sent`; what it answers is asked of `answer`, which may wait. */
export function fakeServer(answer: (sent: Sent) => Answer | Promise<Answer> = () => ({ status: 200, body: {} })) {
  const sent: Sent[] = [];
  globalThis.fetch = (async (url: string, init: RequestInit = {}) => {
    const one = {
      method: init.method ?? 'GET',
      path: url,
      body: JSON.parse((init.body as string) ?? 'null') as unknown,
    };
    sent.push(one);
    const { status, body } = await answer(one);
    return { ok: status < 400, status, text: () => Promise.resolve(body === undefined ? '' : JSON.stringify(body)) };
  }) as unknown as typeof fetch;
  return { sent };
}

/** Shows something as it stands within a garden's page. */
export function show(
  what: ReactNode,
  { garden = gardenWith(), at = '/' } = {},
): { client: QueryClient; again: (next: ReactNode) => void } {
  const client = new QueryClient({ defaultOptions: { mutations: { retry: false }, queries: { retry: false } } });
  registerWrites(client);
  const around = (inner: ReactNode) => (
    <QueryClientProvider client={client}>
      <ToastArea>
        <GardenContext.Provider value={garden}>
          <MemoryRouter initialEntries={[at]}>{inner}</MemoryRouter>
        </GardenContext.Provider>
      </ToastArea>
    </QueryClientProvider>
  );
  const shown = render(around(what));
  return { client, again: (next: ReactNode) => shown.rerender(around(next)) };
}
