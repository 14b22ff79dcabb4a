import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';
import { ARRIVAL, deadline, DEADLINE_MS } from '../src/gate/deadline.js';

/** Whoever waits too long is told when to come back; whoever was answered is not told anything more. */
class Answer extends EventEmitter {
  headersSent = false;
  readonly said: unknown[] = [];
  set = (name: string, value: string): this => (this.said.push(`${name}: ${value}`), this);
  status = (code: number): this => (this.said.push(code), this);
  json = (body: unknown): void => void this.said.push(body);
}
const asked = (request: object, answer: Answer): void =>
  deadline(request as Request, answer as unknown as Response, () => undefined);
const waitFor = (answer: Answer): void => asked({ headers: {} }, answer);

/** An upload of which so many bytes have come. */
class Upload extends EventEmitter {
  headers = { 'content-length': '100000000' };
  originalUrl = '/api/gardens/x/photos/y';
  complete = false;
  destroyed = false;
  socket = { bytesRead: 500 };
  destroy = (): void => void (this.destroyed = true);
}
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

test('an upload is measured by its progress: a slow line may go on for an hour, and its answer is due from the end', () => {
  const [upload, answer] = [new Upload(), new Answer()];
  asked(upload, answer);
  for (let second = 0; second < 3600; second++) {
    upload.socket.bytesRead += 32_000; // 256 kbit/s
    jest.advanceTimersByTime(1000);
  }
  expect([answer.said, upload.destroyed]).toEqual([[], false]);
  upload.complete = true;
  upload.emit('end');
  jest.advanceTimersByTime(DEADLINE_MS - 1);
  expect(answer.said).toEqual([]);
  jest.advanceTimersByTime(1);
  expect(answer.said).toContain(503);
});

test('a sender that stops, or sends a byte now and then, is let go; a whole file has no deadline but this', () => {
  for (const [originalUrl, each] of [
    ['/api/gardens/x/photos/y', 0],
    ['/api/gardens/x/file', 100],
  ] as const) {
    const [upload, answer] = [Object.assign(new Upload(), { originalUrl }), new Answer()];
    asked(upload, answer);
    for (let second = 0; second < ARRIVAL.everyMs / 1000; second++) {
      upload.socket.bytesRead += each;
      jest.advanceTimersByTime(1000);
    }
    expect([originalUrl, answer.said[1], upload.destroyed]).toEqual([originalUrl, 408, true]);
  }
  const [done, answer] = [new Upload(), new Answer()];
  done.complete = true;
  asked(done, answer);
  jest.advanceTimersByTime(ARRIVAL.everyMs);
  expect([done.destroyed, answer.said]).toEqual([false, expect.arrayContaining([503])]);
});
