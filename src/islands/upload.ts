import type { Problem } from '../contracts/problem';
import type { Answer, Asking, UploadAddress } from '../contracts/routes/asking';
import { type Loose, pathOf, RequestError } from './api';
import { apiWords } from './api.words';

/** Sends a file as it is, telling how far it has got. @throws RequestError for every refusal; an aborted one throws too */
export function upload<A extends UploadAddress>(
  address: A,
  { params, query }: Pick<Loose, 'params' | 'query'> & Omit<Asking<A>, 'signal'>,
  file: Blob,
  onProgress?: (share: number) => void,
  signal?: AbortSignal,
): Promise<Answer<A>> {
  return new Promise((resolve, reject) => {
    // `fetch` cannot tell how much of a body has been sent.
    const request = new XMLHttpRequest();
    const failed = (problem: Problem) => reject(new RequestError(problem.status, problem));
    const [method = '', path = ''] = address.split(' ');
    request.open(method, pathOf(path, params, query));
    request.upload.onprogress = (event) => event.lengthComputable && onProgress?.(event.loaded / event.total);
    request.onload = () => {
      const value = JSON.parse(request.responseText || 'null') as Answer<A> & Problem;
      if (request.status < 300) resolve(value);
      else failed({ ...value, status: request.status });
    };
    request.onerror = () =>
      failed({
        type: '/problems/unreachable',
        title: apiWords.theFileDidNotArrive,
        status: 0,
      });
    request.onabort = () => failed({ type: '/problems/aborted', title: apiWords.stopped, status: 0 });
    signal?.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}
