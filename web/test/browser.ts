import { webcrypto } from 'node:crypto';
import { TextDecoder, TextEncoder } from 'node:util';

/** What every browser brings and the stand-in for one does not. */
Object.assign(globalThis, { TextEncoder, TextDecoder });
if (!('getRandomValues' in (globalThis.crypto ?? {})))
  Object.defineProperty(globalThis, 'crypto', { value: webcrypto });
for (const name of ['hasPointerCapture', 'releasePointerCapture', 'setPointerCapture'] as const)
  Element.prototype[name] ??= (() => false) as never;
globalThis.ResizeObserver ??= class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};
/** No query holds: a mouse on a narrow window, until a test says otherwise. */
globalThis.matchMedia ??= ((query: string) => ({
  media: query,
  matches: false,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
})) as unknown as typeof matchMedia;
