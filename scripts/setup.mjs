/** What `npm run demo`, `npm start` and `npm test` share: they set themselves up with Node's own modules only. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command with its output shown. @returns its exit code */
export function run(command, args, env = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1', ...env },
  });
  return result.status ?? 1;
}

/** Starts a command beside others. @returns a promise of its exit code */
export function start(command, args) {
  const child = spawn(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' },
  });
  return new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
}

export function fail(message) {
  console.error(`\n${message}\n`);
  process.exit(1);
}

export function isNodeNewEnough() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  return major > 20 || (major === 20 && minor >= 18);
}

/** What was installed: the packages of the lock file, compiled for this Node. */
function installation() {
  const lock = createHash('sha256')
    .update(readFileSync(path.join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = path.join(root, 'node_modules', '.velvet-stone-installed');
  return { stamp, wanted: `${lock} ${process.versions.modules}` };
}

export function isInstalledNow() {
  const { stamp, wanted } = installation();
  return existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted;
}

/** Installs packages when they are missing or the lock file has changed; builds the native SQLite module on the way. */
export function ensureInstalled() {
  if (!isNodeNewEnough()) fail(`Velvet Stone needs Node 20.18 or newer; this is ${process.versions.node}.`);
  if (isInstalledNow()) return;
  console.log('Installing packages; compiling the SQLite module takes about three minutes the first time …');
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) {
    fail(
      'Installing failed. The native SQLite module needs python3, make and g++ (on Debian: apt-get install python3 make g++).',
    );
  }
  const { stamp, wanted } = installation();
  writeFileSync(stamp, wanted);
}

const buildStamp = path.join(root, 'dist', '.built');

/** Whether no source is newer than the last build. */
export function isBuiltNow() {
  const built = existsSync(buildStamp) ? statSync(buildStamp).mtimeMs : 0;
  const sources = ['src', 'public', 'astro.config.mjs', 'package-lock.json'];
  return built > Math.max(...sources.map((name) => newestIn(path.join(root, name))));
}

/** Builds when a source is newer than the last build. */
export function ensureBuilt() {
  if (isBuiltNow()) return;
  console.log('Building …');
  rmSync(path.join(root, 'dist'), { recursive: true, force: true });
  // Whoever asks for the build, such as a test, does not make it one for developing.
  if (run(process.execPath, ['node_modules/astro/astro.js', 'build', '--silent'], { NODE_ENV: 'production' }) !== 0)
    fail('The build failed; see above.');
  writeFileSync(buildStamp, new Date().toISOString());
}

function newestIn(file) {
  if (!existsSync(file)) return 0;
  const stat = statSync(file);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(stat.mtimeMs, ...readdirSync(file).map((name) => newestIn(path.join(file, name))));
}

/** Path of a Chromium; installs Debian's when it may, else says exactly what to install. */
export function ensureChromium() {
  const known = [process.env.CHROMIUM_PATH, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find(
    (file) => file && existsSync(file),
  );
  if (known) return known;
  const isRoot = process.getuid?.() === 0;
  if (isRoot && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Debian’s chromium for the journeys …');
    const env = { DEBIAN_FRONTEND: 'noninteractive' };
    run('apt-get', ['update', '-qq'], env);
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], env);
    if (existsSync('/usr/bin/chromium')) return '/usr/bin/chromium';
  }
  return fail(
    'The journeys need Chromium. Install it (on Debian, as root: apt-get install chromium) or set CHROMIUM_PATH to one.',
  );
}

/** Serves the built site until it is ended; tells its address once the house is open. */
export async function serve(env) {
  const host = process.env.HOST ?? '127.0.0.1';
  const port = process.env.PORT ?? '4321';
  const url = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`;
  const child = spawn(process.execPath, ['scripts/house-server.mjs'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1', NODE_ENV: 'production', HOST: host, PORT: port, ...env },
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  while (child.exitCode === null) {
    const answer = await fetch(`${url}/api/health`).catch(() => undefined);
    if (answer?.ok) break;
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  if (child.exitCode === null) {
    console.log(`Velvet Stone is at ${url}  (Ctrl+C ends it)`);
    if (host !== '127.0.0.1' && host !== 'localhost') {
      console.log(
        'WARNING: it listens beyond this machine, and it speaks plain HTTP: passwords and records can be read on the way.',
      );
      console.log('Put a proxy with TLS in front of it, or set HOST=127.0.0.1 again.');
      if (env.VELVET_STONE_DEMO === '1') console.log('The demo house lets anybody in by one click.');
    }
  }
  process.exitCode = (await ended) ?? 0;
}

/** What the shell can do with backups, as the build has it. */
export const keepingCommands = () => import(pathToFileURL(path.join(root, 'dist/server/workers/keeping.mjs')).href);
