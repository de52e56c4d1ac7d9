import { signInDemo } from '../served.mjs';

/** A signed-in member of the demo house who asks the server for pages and data. */
export async function callerOf(url) {
  const token = await signInDemo(url);
  const own = { cookie: `velvet-stone=${token}`, origin: url };
  const ask = async (to, init = {}) => {
    const answer = await fetch(url + to, { ...init, headers: { ...own, ...init.headers } });
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${to} answered ${answer.status}: ${text.slice(0, 200)}`);
    return text;
  };
  const post = (to, body) =>
    ask(to, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  return { url, token, own, ask, post };
}
