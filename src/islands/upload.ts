import type { Problem } from '../contracts/problem';
import { RequestError } from './api';

/** Sends a file as it is, telling how far it has got. @throws RequestError for every refusal; an aborted one throws too */
export function upload<T>(
  path: string,
  file: Blob,
  onProgress?: (share: number) => void,
  signal?: AbortSignal,
): Promise<T> {
  return new Promise((resolve, reject) => {
    // `fetch` cannot tell how much of a body has been sent.
    const request = new XMLHttpRequest();
    const failed = (problem: Problem) => reject(new RequestError(problem.status, problem));
    request.open('POST', path);
    request.upload.onprogress = (event) => event.lengthComputable && onProgress?.(event.loaded / event.total);
    request.onload = () => {
      const value = JSON.parse(request.responseText || 'null') as T & Problem;
      if (request.status < 300) resolve(value);
      else failed({ ...value, status: request.status });
    };
    request.onerror = () =>
      failed({
        type: '/problems/unreachable',
        title: 'The file did not arrive: it is too large, or nobody answers.',
        status: 0,
      });
    request.onabort = () => failed({ type: '/problems/aborted', title: 'Stopped.', status: 0 });
    signal?.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}
