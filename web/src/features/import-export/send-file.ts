import { ApiError } from '../../lib/api';

interface Options {
  /** 0 to 1, as it goes */
  onProgress: (share: number) => void;
  signal: AbortSignal;
  /** answer once the file has arrived, not when the work is done */
  async?: boolean;
}

/** Sends a file with progress; it can be cancelled. The only use of XMLHttpRequest, for upload progress. */
export function sendFile<T>(method: 'PUT' | 'POST', path: string, file: Blob, options: Options): Promise<T> {
  return new Promise((done, fail) => {
    const request = new XMLHttpRequest();
    request.open(method, `/api${path}`);
    request.setRequestHeader('content-type', file.type || 'application/octet-stream');
    if (options.async) request.setRequestHeader('prefer', 'respond-async');
    request.upload.onprogress = (e) => e.lengthComputable && options.onProgress(e.loaded / e.total);
    request.onload = () => {
      const body = parsed(request.responseText);
      if (request.status < 400) return done(body as T);
      const { message, faults } = (body ?? {}) as { message?: string; faults?: ApiError['faults'] };
      fail(new ApiError(request.status, message ?? `The server answered ${request.status}.`, faults ?? []));
    };
    request.onerror = () => fail(new TypeError('no answer'));
    request.onabort = () => fail(new DOMException('cancelled', 'AbortError'));
    options.signal.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}

function parsed(text: string): unknown {
  try {
    return text ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}
