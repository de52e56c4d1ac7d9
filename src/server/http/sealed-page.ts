import type { APIContext } from 'astro';
import { unsealHouse } from '../db/house';
import { troubleWords } from '../db/trouble';
import { plainPage } from './plain-page';
import { readUpTo } from './endpoint';
import { addressOf } from './origin';
import { httpAnswers } from './http.answers';

/** Wrong passphrases by where they come from, and when the next may be tried: nobody keeps the owner out by guessing. */
const tries = new Map<string, { readonly failures: number; readonly nextAt: number }>();
const mostAddresses = 1000;

const freeTries = 3;
const longestWaitMs = 60_000;
const mostBytes = 4000;
const unsealPath = '/unseal';

/** What people see of an encrypted house after a start: the one field that opens it. */
export async function answerSealed(context: APIContext, now = Date.now()): Promise<Response> {
  const { request, url } = context;
  if (request.method !== 'POST' || url.pathname !== unsealPath) return page(url.pathname + url.search);
  let form: URLSearchParams;
  try {
    form = new URLSearchParams(new TextDecoder().decode(await readUpTo(request, mostBytes)));
  } catch (error) {
    if (error instanceof Response) return error;
    throw error;
  }
  const then = form.get('then') ?? '/';
  const address = addressOf(context);
  const before = tries.get(address) ?? { failures: 0, nextAt: 0 };
  if (now < before.nextAt)
    return page(then, httpAnswers.tooManyWrongTriesWaitSeconds(Math.ceil((before.nextAt - now) / 1000)));
  // Counted before it is looked at, so that tries which come together are counted one by one.
  const failures = before.failures + 1;
  const nextAt = failures > freeTries ? now + Math.min(longestWaitMs, 1000 * 2 ** (failures - freeTries)) : 0;
  if (tries.size >= mostAddresses) tries.clear();
  tries.set(address, { failures, nextAt });
  if (!(await unsealHouse(form.get('passphrase') ?? ''))) return page(then, httpAnswers.thatIsNotThePassphrase);
  tries.delete(address);
  return new Response(null, { status: 303, headers: { location: inside(then) } });
}

/** An address of this house, whatever somebody wrote into the form. */
const inside = (then: string) => (/^\/(?![/\\])/.test(then) && then !== unsealPath ? then : '/');

function page(then: string, trouble = ''): Response {
  const { title, whatToDo } = troubleWords.sealed;
  return plainPage({
    ...{ title, status: trouble === '' ? 503 : 403 },
    body: httpAnswers.pPFormMethodPostAction(whatToDo, unsealPath, escaped(then), trouble),
  });
}

const escaped = (text: string) => text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);
