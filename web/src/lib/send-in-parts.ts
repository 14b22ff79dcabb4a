import type { DetailedError } from 'tus-js-client';
import { api, ApiError } from './api';

/** Size of a part, bytes: a slow line (256 kbit/s) sends it in 8 s. */
const PART_BYTES = 256_000;
/** Pauses before a part is sent again by itself, ms; after that the whole write waits for its next turn. */
const AGAIN_MS = [500, 2000];

/**
 * Sends a file in parts, by the tus protocol: what has arrived stays, and a later try continues there, after a reload as
 * well. Then it says what the file is.
 * @param path where the parts go; it names the file, so each file has its own
 * @returns the server's answer
 * @throws ApiError if it was refused; any other error if it did not arrive
 */
export async function sendInParts<T>(path: string, file: Blob, query: string): Promise<T> {
  // loaded when it is needed: most visits send no photo
  const { Upload, defaultOptions } = await import('tus-js-client');
  const upload = await new Promise<InstanceType<typeof Upload>>((resolve, reject) => {
    const made: InstanceType<typeof Upload> = new Upload(file, {
      endpoint: `/api${path}`,
      chunkSize: PART_BYTES,
      retryDelays: AGAIN_MS,
      uploadDataDuringCreation: true,
      fingerprint: () => Promise.resolve(`photo ${path}`),
      onShouldRetry: (error) => isLost(error),
      onError: (error) => reject(asOurs(error)),
      onSuccess: () => resolve(made),
    });
    made.findPreviousUploads().then(([before]) => {
      if (before) made.resumeFromPreviousUpload(before);
      made.start();
    }, reject);
  });
  const answer = await api<T>('PUT', `${path}${query}`);
  for (const { urlStorageKey } of await upload.findPreviousUploads())
    await defaultOptions.urlStorage.removeUpload(urlStorageKey);
  return answer;
}

const statusOf = (error: Error | DetailedError): number =>
  ('originalResponse' in error ? error.originalResponse?.getStatus() : undefined) ?? 0;

/** True if the line broke or the server is in trouble: worth another try. */
function isLost(error: Error | DetailedError): boolean {
  const status = statusOf(error);
  return navigator.onLine && (status === 0 || status >= 500 || status === 409 || status === 423);
}

/** The server's refusal as any other request shows it; a broken line as it is. */
function asOurs(error: Error | DetailedError): Error {
  const status = statusOf(error);
  if (status === 0 || !('originalResponse' in error)) return error;
  let message = '';
  try {
    message = (JSON.parse(error.originalResponse?.getBody() ?? '') as { message?: string }).message ?? '';
  } catch {
    // a proxy's page: its status is enough
  }
  return new ApiError(status, message || `The server answered ${status}.`, []);
}
