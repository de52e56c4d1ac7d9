import { type HouseTrouble, troubleWords } from '../db/trouble';
import { plainPage } from './plain-page';
import { problem } from './problem';

/** What people see when the house cannot be opened: it needs no data, no scripts and no other file. */
export function troublePage({ kind }: HouseTrouble, isApi: boolean): Response {
  const { title, whatToDo } = troubleWords[kind];
  const status = kind === 'full' ? 507 : 503;
  if (isApi) return problem({ type: `/problems/house-${kind}`, title, status, detail: whatToDo });
  return plainPage({ title, status, body: `<p>${whatToDo}</p>` });
}
