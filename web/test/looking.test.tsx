import type { GardenView, PlantView, RecordDto } from '@candid-leaf/contract';
import { SIGNS, type Inspection, type SignCode } from '@candid-leaf/core/records';
import { act, renderHook, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import '../src/data/all-writes';
import { lastTime, numbersOf } from '../src/features/looking/last-time';
import { isLookedFor, signsToOffer } from '../src/features/looking/signs-to-offer';
import { useInspection } from '../src/features/looking/use-inspection';
import { walkPlan } from '../src/features/looking/walk-plan';
import { registerWrites } from '../src/lib/writes';
import { fakeServer, gardenWith, TODAY } from './page';

const look = (id: string, day: string, signs: Inspection['signs'], more: object = {}): RecordDto => ({
  id,
  version: 3,
  type: 'inspection',
  plantId: 'p1',
  placeId: null,
  day,
  data: { date: day, allClear: false, signs, ...more },
  createdAt: day,
  by: 'a',
});
const viewWith = (...records: RecordDto[]) =>
  ({ garden: gardenWith(), plant: { id: 'p1', placeId: 'bed', crop: 'tomato' }, records }) as unknown as PlantView;
const rot = (affected?: number) => ({
  sign: 'fruit-blossom-end-dark' as const,
  present: true,
  ...(affected ? { affected, of: 12 } : {}),
});

describe('what was there before', () => {
  test('is what was seen the last time before today, with its numbers', () => {
    const before = lastTime(
      viewWith(
        look('today', TODAY, [rot(9)]),
        look('new', '2026-07-11', [rot(4), { sign: 'leaf-wilt', present: false }]),
        look('old', '2026-07-04', [rot(2), { sign: 'leaf-mottle', present: true }]),
      ),
    );
    expect([...before.keys()]).toEqual(['fruit-blossom-end-dark']);
    expect(before.get('fruit-blossom-end-dark')).toMatchObject({ day: '2026-07-11', seen: { affected: 4 } });
    expect(numbersOf(rot(4))).toBe('4 of 12');
    expect(numbersOf({ sign: 'leaf-wilt', present: true, affected: 3 })).toBe('3');
    expect(numbersOf(rot())).toBe('seen');
  });
});

describe('sign buttons', () => {
  const asked = { crop: 'tomato', part: null, words: '', likely: [], wasThere: () => false } as const;
  test('of the part, earlier signs first; “nothing found” early', () => {
    const was: SignCode = SIGNS.filter((s) => s.parts.includes('leaves')).at(-1)!.code;
    const offered = signsToOffer({ ...asked, part: 'leaves', wasThere: (c) => c === was });
    expect(offered[0]!.code).toBe(was);
    expect(offered.every((s) => s.parts.includes('leaves'))).toBe(true);
    const none = SIGNS.find((s) => s.code === 'pest-none-found')!;
    const creatures = signsToOffer({ ...asked, part: none.parts[0]! });
    expect(creatures[0]!.code).toBe('pest-none-found');
    // then the likeliest, whatever their place in the table
    const likely = SIGNS.filter(
      (s) => s.parts.includes('fruit') && s.code !== 'pest-none-found' && !('crop' in s && s.crop === 'pepper'),
    )
      .slice(-3)
      .map((s) => s.code);
    const ranked = signsToOffer({ ...asked, part: 'fruit', likely }).filter((s) => s.code !== 'pest-none-found');
    expect(ranked.slice(0, 3).map((s) => s.code)).toEqual(likely);
  });
  test('without a part, earlier signs; from two letters on, what fits the words, in any part', () => {
    expect(signsToOffer(asked)).toEqual([]);
    expect(signsToOffer({ ...asked, words: 'w' })).toEqual([]);
    const wilting = signsToOffer({ ...asked, part: 'fruit', words: '  LIMP ' });
    expect(wilting.map((s) => s.code)).toContain('leaf-wilt');
    expect(signsToOffer({ ...asked, words: 'zzzz' })).toEqual([]);
  });
  test.each([
    ['leggy', 'plant-flopping'],
    ['drooping', 'leaf-wilt'],
    ['eaten by bugs', 'leaf-ragged-holes'],
    ['white stuff', 'leaf-white-powder'],
    ['hard shoulders', 'fruit-green-shoulders'],
    ['droping', 'leaf-wilt'],
  ])('"%s" finds %s among the first', (words, code) => {
    const found = signsToOffer({ ...asked, words }).map((s) => s.code as string);
    expect(found.slice(0, 8)).toContain(code);
  });
  test('“none of these” says nothing of what takes digging, cutting or turning a leaf, nor of “none found”', () => {
    const told = (['root-brown-slimy', 'stem-brown-inside', 'leaf-webbing', 'pest-none-found'] as const).filter(
      isLookedFor,
    );
    expect(told).toEqual([]);
    expect(isLookedFor('fruit-blossom-end-dark')).toBe(true);
    const soil = signsToOffer({ ...asked, part: 'soil' }).map((s) => s.code);
    expect(soil.length).toBeGreaterThan(5);
    expect(soil.filter((s) => isLookedFor(s) && /^(root|soil|pot)-/.test(s))).toEqual([]);
  });
  test('never a sign of the other crop', () => {
    const own = SIGNS.filter((s) => 'crop' in s && s.crop === 'pepper').map((s) => s.code as string);
    expect(own.length).toBeGreaterThan(0);
    for (const part of ['fruit', 'leaves', 'stem', 'flowers'] as const)
      expect(signsToOffer({ ...asked, part }).filter((s) => own.includes(s.code))).toEqual([]);
  });
});

describe('a walk along a bed', () => {
  const on = (id: string, lastLook: string | null, seenToday: SignCode[] = []) => ({
    plant: { id, name: `Plant ${id}` },
    lastLook,
    seenToday,
  });
  const garden = (...plants: ReturnType<typeof on>[]) =>
    ({ garden: gardenWith(), places: [{ place: { id: 'bed' }, plants }] }) as unknown as GardenView;

  test('goes to the next plant nobody looked at today, round the end, and ends when all are done', () => {
    const walk = walkPlan(garden(on('a', null), on('b', TODAY), on('c', '2026-07-10'), on('d', TODAY)), 'bed')!;
    expect(walk.next()!.plant.id).toBe('a');
    expect(walk.next('a')!.plant.id).toBe('c');
    expect(walk.next('c')!.plant.id).toBe('a');
    expect(walk.next('d')!.plant.id).toBe('a');
    expect(walkPlan(garden(on('a', TODAY), on('b', TODAY)), 'bed')!.next('a')).toBeNull();
    expect(walkPlan(garden(on('a', null)), 'bed')!.next('a')).toBeNull();
    expect(walkPlan(garden(on('a', null)), 'elsewhere')).toBeNull();
  });
  test('offers on each plant what was found today on the others, once, and not its own', () => {
    const walk = walkPlan(
      garden(on('a', TODAY, ['leaf-wilt']), on('b', TODAY, ['leaf-wilt', 'leaf-mottle']), on('c', null)),
      'bed',
    )!;
    expect(walk.offered('c')).toEqual([
      { sign: 'leaf-wilt', on: 'Plant a' },
      { sign: 'leaf-mottle', on: 'Plant b' },
    ]);
    expect(walk.offered('a').map((o) => o.on)).toEqual(['Plant b', 'Plant b']);
  });
});

describe('today’s look, saved with each tap', () => {
  function start(view: PlantView, onError: (e: Error) => void = () => undefined) {
    const client = new QueryClient({ defaultOptions: { mutations: { retry: false } } });
    registerWrites(client);
    const wrapper = ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    );
    return renderHook(() => useInspection(view, onError), { wrapper });
  }
  type Kept = { id: string; version?: number; data: Inspection };

  test('taps during a save are sent together after it, on its version', async () => {
    const waiting: (() => void)[] = [];
    let version = 0;
    const { sent } = fakeServer(async (s) => {
      await new Promise<void>((go) => waiting.push(go));
      return { status: 200, body: { ...(s.body as object), version: ++version } };
    });
    const { result } = start(viewWith());
    act(() => result.current.put('leaf-wilt', { sign: 'leaf-wilt', present: true }));
    act(() => result.current.put('leaf-mottle', { sign: 'leaf-mottle', present: true }));
    act(() => result.current.put('fruit-blossom-end-dark', rot(4)));
    await waitFor(() => expect(sent).toHaveLength(1));
    await act(async () => waiting[0]!());
    await waitFor(() => expect(sent).toHaveLength(2));
    await act(async () => waiting[1]!());
    const [first, second] = sent.map((s) => s.body as Kept);
    expect(first!.data.signs.map((s) => s.sign)).toEqual(['leaf-wilt']);
    expect(second!.data.signs.map((s) => s.sign)).toEqual(['leaf-wilt', 'leaf-mottle', 'fruit-blossom-end-dark']);
    expect([first!.version, second!.version, first!.id === second!.id]).toEqual([undefined, 1, true]);
    expect(result.current.signs).toHaveLength(3);
    expect(sent).toHaveLength(2);
  });

  test('continues today’s look; an all-clear of today is its own look', async () => {
    const { sent } = fakeServer((s) => ({ status: 200, body: { ...(s.body as object), version: 4 } }));
    const { result } = start(viewWith(look('clear', TODAY, [], { allClear: true }), look('mine', TODAY, [rot(2)])));
    act(() => result.current.putAll([{ sign: 'leaf-wilt', present: true }, rot(5)]));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({
      id: 'mine',
      version: 3,
      data: { signs: [{ sign: 'leaf-wilt' }, { affected: 5 }] },
    });
  });

  test('removing its last sign deletes the look, and the next tap begins a new one', async () => {
    const { sent } = fakeServer((s) => ({ status: 200, body: { ...(s.body as object | null), version: 1 } }));
    const { result } = start(viewWith(look('mine', TODAY, [rot(2)])));
    act(() => result.current.put('fruit-blossom-end-dark', null));
    await waitFor(() => expect(sent.map((s) => s.method)).toEqual(['DELETE']));
    expect(sent[0]!.path).toContain('/records/mine');
    act(() => result.current.put('leaf-wilt', { sign: 'leaf-wilt', present: true }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect((sent[1]!.body as Kept).id).not.toBe('mine');
    expect((sent[1]!.body as Kept).version).toBeUndefined();
  });

  test('a failed save is shown, stays on screen, and goes along with the next tap', async () => {
    let down = true;
    const { sent } = fakeServer((s) =>
      down
        ? { status: 503, body: { message: 'The server rests.' } }
        : { status: 200, body: { ...(s.body as object), version: 1 } },
    );
    const said: string[] = [];
    const { result } = start(viewWith(), (e) => said.push(e.message));
    act(() => result.current.put('leaf-wilt', { sign: 'leaf-wilt', present: true }));
    await waitFor(() => expect(said).toEqual(['The server rests.']));
    expect(result.current.signs.map((s) => s.sign)).toEqual(['leaf-wilt']);
    down = false;
    act(() => result.current.put('leaf-mottle', { sign: 'leaf-mottle', present: true }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect((sent[1]!.body as Kept).data.signs.map((s) => s.sign)).toEqual(['leaf-wilt', 'leaf-mottle']);
  });
});
