import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';
import { deadline, DEADLINE_MS } from '../src/gate/deadline.js';

/** Whoever waits too long is told when to come back; whoever was answered is not told anything more. */
class Answer extends EventEmitter {
  headersSent = false;
  readonly said: unknown[] = [];
  set = (name: string, value: string): this => (this.said.push(`${name}: ${value}`), this);
  status = (code: number): this => (this.said.push(code), this);
  json = (body: unknown): void => void this.said.push(body);
}
const waitFor = (answer: Answer): void => deadline({} as Request, answer as unknown as Response, () => undefined);
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('nothing before its time, then 503 with a time to retry', () => {
  const answer = new Answer();
  waitFor(answer);
  jest.advanceTimersByTime(DEADLINE_MS - 1);
  expect(answer.said).toEqual([]);
  jest.advanceTimersByTime(1);
  expect(answer.said).toEqual(['Retry-After: 5', 503, expect.objectContaining({ statusCode: 503 })]);
});

test('a request that was answered or has gone is left alone', () => {
  const [answered, gone] = [new Answer(), new Answer()];
  for (const one of [answered, gone]) waitFor(one);
  answered.headersSent = true;
  gone.emit('close');
  jest.advanceTimersByTime(2 * DEADLINE_MS);
  expect([...answered.said, ...gone.said]).toEqual([]);
});
