/** Opens the source to a script, through Vite: TypeScript is read as it stands, nothing has to be built. */
import { root } from './setup.mjs';

/**
 * @param run gets `load`, which returns the module at a path from the root, such as `/src/core/result.ts`
 * @returns what `run` returns
 */
export async function withSource(run) {
  const { createServer } = await import('vite');
  const options = { root, configFile: false, server: { middlewareMode: true }, appType: 'custom', logLevel: 'error' };
  const vite = await createServer(options);
  try {
    return await run((from) => vite.ssrLoadModule(from));
  } finally {
    await vite.close();
  }
}

/** @returns the answers of a check that has nothing to say: a visit needs one before it is planned */
export async function checkWithoutFindings(load) {
  const { visitCheck } = await load('/src/server/visits/visit-check.ts');
  const questions = [...visitCheck.flags, ...visitCheck.today, ...visitCheck.others];
  return Object.fromEntries(questions.map(({ id }) => [id, 'no']));
}
