/** Measures what the design sets limits for: the planner, the pages on a large house, search and the durable save. */
import { mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromiumFlags, signInDemo, startServer } from './served.mjs';
import { ensureBuilt, ensureChromium, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
ensureBuilt();
const require = createRequire(import.meta.url);

const quantile = (sorted, q) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))];
/** How long something takes, time and again (ms). */
const timed = (run, times = 20) =>
  Array.from({ length: times }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  });

function report(name, times, reach) {
  const sorted = [...times].sort((a, b) => a - b);
  const ms = (value) => `${value.toFixed(value < 10 ? 2 : 1)} ms`.padStart(10);
  console.log(
    `${name.padEnd(52)} median ${ms(quantile(sorted, 0.5))}   p95 ${ms(quantile(sorted, 0.95))}   reach ${reach}`,
  );
}

/** @returns the questions of the check, which a visit needs answered before it is planned */
async function benchCore() {
  const { createServer } = await import('vite');
  const vite = await createServer({
    root,
    configFile: false,
    server: { middlewareMode: true },
    appType: 'custom',
    logLevel: 'error',
  });
  try {
    const { anatomy } = await vite.ssrLoadModule('/src/catalogue/anatomy.ts');
    const { readCase, defaultSchool } = await vite.ssrLoadModule('/src/core/drainage/case.ts');
    const { planDrainage } = await vite.ssrLoadModule('/src/core/drainage/plan.ts');
    const { checkCourse, mendCourse } = await vite.ssrLoadModule('/src/core/drainage/check.ts');
    const given = (focus, findings, minutes) => {
      const read = readCase(anatomy, {
        focus,
        findings,
        minutes,
        purpose: 'swelling',
        school: defaultSchool,
        fill: false,
        qualifications: ['lymphoedema-certified'],
      });
      if (!read.ok) throw new Error(read.errors[0].message);
      return read.value;
    };
    const every = [
      { id: 'nodes-removed-inguinal', side: 'left' },
      { id: 'nodes-removed-axillary', side: 'right' },
      { id: 'nodes-sentinel-neck', side: 'left' },
      { id: 'irradiated', regions: ['chest-upper.right', 'flank-upper.left'] },
      { id: 'scar', crosses: [['pubic.left', 'pubic.right']] },
      { id: 'port', regions: ['chest-upper.left'] },
      { id: 'open-wound', regions: ['shin-lower.right'] },
      { id: 'thickened', regions: ['ankle-inner.left', 'calf-lower.left'] },
    ];
    const cases = [
      ['plan, one leg rerouted', given(['leg.left'], every.slice(0, 1), 45)],
      ['plan, whole body, all rules, 240 min', given(['whole-body'], every, 240)],
      ['plan, whole body, all rules, too short at 30 min', given(['whole-body'], every, 30)],
    ];
    for (const [name, read] of cases) {
      for (let i = 0; i < 30; i += 1) planDrainage(anatomy, read);
      report(
        name,
        Array.from({ length: 200 }, () => time(() => planDrainage(anatomy, read))),
        'under 10 ms',
      );
    }
    const whole = cases[1][1];
    const { steps } = planDrainage(anatomy, whole);
    const reversed = [...steps].reverse();
    report(
      `check of ${steps.length} steps as planned`,
      Array.from({ length: 60 }, () => time(() => checkCourse(anatomy, whole, steps))),
      '–',
    );
    report(
      'mend all of the same, reversed',
      Array.from({ length: 30 }, () => time(() => mendCourse(anatomy, whole, reversed))),
      '–',
    );
    await benchScreening(vite);
    await benchTrend(vite);
    await benchSequencing(vite);
    await benchRefit(vite);
    await benchStones(vite);
    await benchBlends(vite);
    const { visitCheck } = await vite.ssrLoadModule('/src/server/services/visit-check.ts');
    return [...visitCheck.flags, ...visitCheck.today, ...visitCheck.others];
  } finally {
    await vite.close();
  }
}

/** Five minutes of contact, beside a grid twice as fine; a rotation of a whole visit. */
async function benchStones(vite) {
  const { stoneBook } = await vite.ssrLoadModule('/src/catalogue/stones/stones.ts');
  const { contactOf } = await vite.ssrLoadModule('/src/core/stones/contact.ts');
  const { rotate } = await vite.ssrLoadModule('/src/core/stones/rotation.ts');
  const laid = {
    ...{ material: 'basalt', thicknessMm: 25, startC: 50, mode: 'still', towelLayers: 1, seconds: 300 },
    ...{ skin: 'normal', skinStartC: 33, ambientC: 24 },
  };
  for (const [name, change] of [
    ['at rest on a cloth', {}],
    ['at rest on bare skin', { towelLayers: 0 }],
    ['gliding', { mode: 'moving', startC: 52 }],
  ]) {
    const given = { ...laid, ...change };
    contactOf(stoneBook, given);
    report(
      `stone, 300 s ${name}`,
      timed(() => contactOf(stoneBook, given)),
      'under 40 ms',
    );
    const [usual, fine] = [contactOf(stoneBook, given), contactOf(stoneBook, given, 2)];
    console.log(
      `  against cells and steps half as large: peak ${(usual.basalPeakC - fine.basalPeakC).toFixed(3)}° off, harm ${((usual.omega / fine.omega - 1) * 100).toFixed(1)} %`,
    );
  }
  const steps = Array.from({ length: 12 }, (_, i) => ({
    ...{
      id: `s${i}`,
      startS: i * 240,
      durationS: 200,
      class: i % 2 === 0 ? 'palm' : 'large',
      count: 2,
      mode: 'moving',
    },
    ...{ flip: true, towelLayers: 0, usefulC: 42, firstContactC: 50 },
  }));
  const stock = ['palm', 'large'].map((size) => ({ class: size, size, material: 'basalt', count: 8 }));
  const rotation = { bathC: 51, toleranceC: 1, ambientC: 24, stock, steps };
  report(
    'stones of a visit, 12 steps of two sizes',
    timed(() => rotate(stoneBook, rotation)),
    '',
  );
}

/** The best blend of eight candidates in bottles of three sizes: worst of ten shelves each. */
async function benchBlends(vite) {
  const { oilBook } = await vite.ssrLoadModule('/src/catalogue/oils/oils.ts');
  const { bestBlend } = await vite.ssrLoadModule('/src/core/oils/best/best-blend.ts');
  const ids = [...oilBook.oils.keys()];
  const uses = ['sleep', 'muscle-ease', 'calming', 'uplifting', 'circulation'];
  for (const volumeMl of [10, 30, 100]) {
    const cases = Array.from({ length: 10 }, (_, k) => ({
      ...{
        volumeMl,
        area: 'body',
        client: { age: null, conditions: [], skin: 'normal' },
        targetPercent: 2.5,
        maxOils: 4,
      },
      candidates: [...new Set(Array.from({ length: 8 }, (__, j) => ids[(k * 7 + j * 5) % ids.length]))].map(
        (oil, j) => ({
          ...{ oil, costPerDrop: 2 + ((j * 7) % 11), maxDrops: 60 },
        }),
      ),
      wanted: [
        { use: uses[k % 5], weight: 2 },
        { use: uses[(k * 3 + 1) % 5], weight: 1 },
      ],
      notes: { top: 0.3, middle: 0.5, base: 0.2 },
    }));
    let k = 0;
    report(
      `best blend, eight candidates, ${volumeMl} mL`,
      timed(() => bestBlend(oilBook, cases[(k += 1) % 10])),
      'under 100 ms',
    );
  }
}

/** Milliseconds that something takes. */
const time = (run) => {
  const start = performance.now();
  run();
  return performance.now() - start;
};

/** Sixteen blocks that all differ, beside an integer program solved for the same question; sixty steps in 90 minutes. */
async function benchSequencing(vite) {
  const { sequenceBlocks } = await vite.ssrLoadModule('/src/core/sequencing/sequence.ts');
  const { fitTime } = await vite.ssrLoadModule('/src/core/sequencing/time-fit.ts');
  const { handStates, positions, blockSides, startSetting, tablePlaces, usualCosts } = await vite.ssrLoadModule(
    '/src/core/sequencing/block.ts',
  );
  const { leastOrderByProgram } = await vite.ssrLoadModule('/tests/integer-programs.ts');
  const blocksOf = (count) =>
    Array.from({ length: count }, (_, i) => ({
      id: `b${i}`,
      minutes: 5,
      position: positions[i % 3],
      hands: handStates[(i * 7) % 6],
      therapist: tablePlaces[(i * 5) % 4],
      side: blockSides[(i * 11) % 3],
      after: [],
    }));
  const blocks = blocksOf(16);
  sequenceBlocks(blocks);
  report(
    'exact order of 16 blocks, none alike',
    Array.from({ length: 20 }, () => time(() => sequenceBlocks(blocks))),
    'under 60 ms',
  );
  const few = blocksOf(9);
  const own = time(() => sequenceBlocks(few));
  const start = performance.now();
  const program = await leastOrderByProgram(few, startSetting, usualCosts);
  const { value } = sequenceBlocks(few);
  console.log(
    `order of 9 blocks: ours ${own.toFixed(1)} ms, an integer program ${(performance.now() - start).toFixed(0)} ms, ${value.setupSeconds} and ${Math.round(program)} s`,
  );
  const steps = Array.from({ length: 60 }, (_, i) => ({
    id: `s${i}`,
    secondsPerRepetition: 3 + ((i * 7) % 17),
    overheadSeconds: 8,
    min: 2 + (i % 2),
    usual: 12 + (i % 3),
    max: 18 + (i % 4),
    weight: 1 + (i % 5) / 3,
    optional: i % 4 === 0,
    stretchable: i % 3 === 0,
  }));
  report(
    'exact time fit of 60 steps, 90 min',
    Array.from({ length: 40 }, () => time(() => fitTime(steps, 5400))),
    'under 30 ms',
  );
}

/** What is offered when clock and plan have drifted apart: the exact fit over a treatment of sixty steps. */
async function benchRefit(vite) {
  const { waysToCatchUp } = await vite.ssrLoadModule('/src/core/table/refit.ts');
  const { noChange } = await vite.ssrLoadModule('/src/core/table/progress.ts');
  const steps = Array.from({ length: 60 }, (_, i) => ({
    ...{ id: `s${i}`, kind: 'soften', place: 'back-upper.left', toward: null, via: [], pressure: 'light' },
    ...{ repetitions: 6, placements: 1, seconds: 60, rules: [], why: '', cautions: [] },
    fit: { min: 2 + (i % 3), max: 10, secondsPerRepetition: 8 + (i % 4), isStretchable: i % 5 === 0 },
    told: {
      ...{ title: `Stroke ${i}`, how: '', cue: '', note: '', block: `part ${Math.floor(i / 6)}` },
      ...{ count: 'repetitions', places: ['back-upper.left'] },
    },
  }));
  const clock = { index: 3, stepSeconds: 20, visitSeconds: 620, availableSeconds: 3600, plannedSeconds: 3600 };
  if (waysToCatchUp(steps, clock, noChange).length < 3) throw new Error('the re-fit offers less than three ways');
  report(
    're-fit of 60 steps, six minutes late',
    Array.from({ length: 40 }, () => time(() => waysToCatchUp(steps, clock, noChange))),
    'under 30 ms',
  );
}

/** 20,000 clients, 300,000 visits and 2 million tape points beside the demo house. */
function fillHouse(data) {
  const SQLite = require('better-sqlite3');
  const db = new SQLite(path.join(data, 'velvet-stone.sqlite'));
  const first = [
    'Alma',
    'Benno',
    'Carla',
    'Dario',
    'Edda',
    'Fabio',
    'Gesa',
    'Hanno',
    'Ilva',
    'Jonte',
    'Kaja',
    'Levi',
    'Mira',
    'Nilo',
    'Orla',
    'Pia',
    'Quirin',
    'Runa',
    'Sven',
    'Tilda',
  ];
  const last = [
    'Ahrens',
    'Birkwald',
    'Cordes',
    'Dornau',
    'Ellmann',
    'Fuhrberg',
    'Gerling',
    'Hohmuth',
    'Ibsen',
    'Jarl',
    'Kestner',
    'Lohse',
    'Marquart',
    'Nolte',
    'Osterloh',
    'Prager',
    'Rehbein',
    'Sturm',
    'Tewes',
    'Ulrich',
  ];
  const positions = JSON.stringify(Array.from({ length: 18 }, (_, i) => i * 4));
  const girths = (extra) => JSON.stringify(Array.from({ length: 18 }, (_, i) => 22 + i * 2 + extra));
  const client = db.prepare(
    'insert into client (name, search_name, born_on, phone, note, created_at) values (?, ?, ?, ?, ?, ?)',
  );
  const visit = db.prepare(
    "insert into visit (client_id, therapist_id, starts_at, minutes, purpose, focus_json, stage) values (?, 1, ?, 60, 'swelling', '[\"leg.left\"]', 'done')",
  );
  const taping = db.prepare(
    "insert into taping (client_id, visit_id, taken_at, phase, version, limb, side, unit, method, positions_json, affected_json, reference_json, recorded_at, recorded_by) values (?, ?, ?, 'before', 1, 'leg', 'left', 'cm', 'frustum', ?, ?, ?, ?, 1)",
  );
  db.transaction(() => {
    let points = 0;
    for (let i = 0; i < 20_000; i += 1) {
      const name = `${first[i % 20]} ${last[Math.floor(i / 20) % 20]} ${i}`;
      const { lastInsertRowid } = client.run(
        name,
        name.toLowerCase(),
        '1970-01-01',
        `0700 ${i}`,
        '',
        '2026-01-01T00:00:00.000Z',
      );
      for (let k = 0; k < 15; k += 1) {
        const at = new Date(Date.UTC(2024, 0, 1) + (i * 7 + k * 45) * 3_600_000 * 3).toISOString();
        const { lastInsertRowid: visitId } = visit.run(lastInsertRowid, at);
        if (points < 2_000_000) {
          taping.run(lastInsertRowid, visitId, at, positions, girths(2 - k / 10), girths(0), at);
          points += 36;
        }
      }
    }
  })();
  db.close();
}

async function benchPages(questions) {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-bench-'));
  let server = await startServer({ data });
  await server.stop();
  console.log('\nfilling a house with 20,000 clients, 300,000 visits, 2 million tape points …');
  fillHouse(data);
  server = await startServer({ data });
  try {
    const token = await signInDemo(server.url);
    const own = { cookie: `velvet-stone=${token}`, origin: server.url };
    const timed = async (to, init = {}) => {
      const start = performance.now();
      const response = await fetch(server.url + to, { ...init, headers: { ...own, ...init.headers } });
      await response.text();
      if (!response.ok) throw new Error(`${to} answered ${response.status}`);
      return performance.now() - start;
    };
    const many = async (count, to, init) => {
      const times = [];
      for (let i = 0; i < count + 5; i += 1) {
        const ms = await timed(typeof to === 'function' ? to(i) : to, typeof init === 'function' ? init(i) : init);
        if (i >= 5) times.push(ms);
      }
      return times;
    };
    const json = (body) => ({
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    const day = await (await fetch(`${server.url}/`, { headers: own })).text();
    const visit = /href="\/visits\/(\d+)\/\w+"[^>]*>Marit/.exec(day)[1];
    const answers = Object.fromEntries(questions.map(({ id }) => [id, 'no']));
    await timed(`/api/visits/${visit}/check`, json({ answers }));
    report('server: day', await many(60, '/'), 'p95 under 40 ms');
    report('server: client page', await many(60, '/clients/3'), 'p95 under 40 ms');
    const filled = (await (await fetch(`${server.url}/api/clients?q=mira`, { headers: own })).json())[0].id;
    report('server: progress page, nine visits of the demo', await many(60, '/clients/3/progress'), 'p95 under 40 ms');
    report(
      'server: progress page, a client among 20,000',
      await many(60, `/clients/${filled}/progress`),
      'p95 under 40 ms',
    );
    report('server: measure page', await many(60, `/visits/${visit}/measure`), 'p95 under 40 ms');
    report('server: ask page', await many(60, `/visits/${visit}/ask`), 'p95 under 40 ms');
    report('server: plan page', await many(60, `/visits/${visit}/plan`), 'p95 under 40 ms');
    report(
      'search as you type',
      await many(
        80,
        (i) =>
          `/api/clients?q=${['mi', 'mira', 'nolte', 'osterlho', '0700 12', 'runa st', 'marqart', 'x', 'kstner'][i % 9]}`,
      ),
      'under 30 ms',
    );
    const event = (i) =>
      json({
        deviceId: 'the-bench-table',
        events: [
          {
            id: `bench-${String(i).padStart(6, '0')}`,
            kind: i === 0 ? 'start' : i % 2 ? 'pause' : 'resume',
            stepId: 's1',
            at: new Date().toISOString(),
            planVersion: 1,
          },
        ],
      });
    report(
      'durable save of a table event',
      await many(120, `/api/visits/${visit}/events`, event),
      'p95 under 5 ms (issue), 15 ms (design)',
    );

    await benchImport(server.url, own);

    const { default: puppeteer } = await import('puppeteer-core');
    const browser = await puppeteer.launch({ executablePath: ensureChromium(), args: chromiumFlags, headless: true });
    for (const to of [
      '/',
      '/clients',
      '/clients/3',
      '/clients/3/progress',
      '/measures?client=3',
      '/house',
      `/visits/${visit}/ask`,
      `/visits/${visit}/measure`,
      `/visits/${visit}/plan`,
      `/visits/${visit}/table`,
      `/visits/${visit}/close`,
    ]) {
      const times = [];
      let script = 0;
      for (let i = 0; i < 8; i += 1) {
        const page = await browser.newPage();
        await page.setCookie({ name: 'velvet-stone', value: token, url: server.url });
        const start = performance.now();
        await page.goto(server.url + to, { waitUntil: 'domcontentloaded' });
        await page.waitForFunction(() => document.querySelectorAll('astro-island[ssr]').length === 0, { polling: 10 });
        times.push(performance.now() - start);
        script = await page.evaluate(() =>
          performance
            .getEntriesByType('resource')
            .filter((r) => r.name.endsWith('.js'))
            .map((r) => r.name),
        );
        await page.close();
      }
      const { gzipSync } = await import('node:zlib');
      let bytes = 0;
      for (const url of script)
        if (!/Chart/.test(url))
          bytes += gzipSync(Buffer.from(await (await fetch(url, { headers: own })).arrayBuffer())).length;
      report(
        `interactive: ${to.replace(/\d+/, ':id')} (${(bytes / 1024).toFixed(0)} KB script)`,
        times,
        'under 1 s, 180 KB',
      );
    }
    await browser.close();
  } finally {
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  }
}

/** The trend of two years of weekly tapings, all pairs looked at. */
async function benchTrend(vite) {
  const { trendOf } = await vite.ssrLoadModule('/src/core/swelling/trend.ts');
  const points = Array.from({ length: 104 }, (_, i) => ({
    date: new Date(Date.UTC(2024, 0, 1 + 7 * i)).toISOString().slice(0, 10),
    value: 900 - i + (i % 7) * 9,
  }));
  for (let i = 0; i < 50; i += 1) trendOf(points);
  const times = Array.from({ length: 100 }, () => {
    const start = performance.now();
    trendOf(points);
    return performance.now() - start;
  });
  report('trend of 104 tapings', times, '–');
}

/** A table of 100,000 girths: read and checked, then stored in one transaction, while others go on working. */
async function benchImport(url, own) {
  const rows = ['date,limb,side,point cm,girth cm'];
  const start = Date.UTC(2000, 0, 1);
  for (let k = 0; rows.length <= 100_000; k += 1) {
    const date = new Date(start + k * 86_400_000).toISOString().slice(0, 10);
    for (const side of ['left', 'right'])
      for (let i = 0; i < 18; i += 1) rows.push(`${date},leg,${side},${i * 4},${22 + i * 2}`);
  }
  const plan = {
    clientId: 1,
    columns: { date: 0, limb: 1, side: 2, point: 3, girth: 4 },
    unit: 'cm',
    dateOrder: 'year-month-day',
  };
  const ask = async (method, to, body) => (await (await fetch(url + to, { method, headers: own, body })).json()).import;
  const until = async (id, state) => {
    const waits = [];
    for (;;) {
      const asked = performance.now();
      const job = await ask('GET', `/api/imports/${id}`);
      waits.push(performance.now() - asked);
      if (job.state === state) return waits;
      if (job.state === 'failed' || job.state === 'cancelled') throw new Error(`the import ${job.state}`);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  };
  let began = performance.now();
  const { id } = await ask('POST', `/api/imports?plan=${encodeURIComponent(JSON.stringify(plan))}`, rows.join('\n'));
  const reading = await until(id, 'checked');
  const readMs = performance.now() - began;
  began = performance.now();
  await ask('POST', `/api/imports/${id}`, JSON.stringify({ leaveOutTroubled: true }));
  const storing = await until(id, 'done');
  const storeMs = performance.now() - began;
  const rate = (ms) => `${Math.round(rows.length / (ms / 1000)).toLocaleString('en')} rows a second`;
  console.log(`import of ${rows.length - 1} rows: read and checked at ${rate(readMs)}, stored at ${rate(storeMs)}`);
  report('asking how an import stands, meanwhile', [...reading, ...storing], '–');
}

/** Every condition that a busy intake may bring, against all modalities and the whole body. */
async function benchScreening(vite) {
  const { screeningBook } = await vite.ssrLoadModule('/src/catalogue/screening/screening.ts');
  const { readScreening } = await vite.ssrLoadModule('/src/core/screening/read-request.ts');
  const { screen } = await vite.ssrLoadModule('/src/core/screening/screen.ts');
  const seven = [
    'nodes-removed-axillary',
    'port',
    'varicose-veins',
    'osteoporosis',
    'anticoagulants',
    'many-medicines',
    'latex-allergy',
  ];
  for (const [name, ids] of [
    ['screening, 7 conditions, 18 modalities', seven],
    ['screening, every condition there is', [...screeningBook.conditions.keys()]],
  ]) {
    const request = {
      visitDate: '2026-11-25',
      age: 54,
      conditions: ids.map((id) => ({
        id,
        ...(screeningBook.conditions.get(id).locatable === 'side' ? { side: 'left' } : {}),
      })),
      qualifications: ['massage', 'lymphoedema-certified'],
    };
    const once = () => screen(screeningBook, readScreening(screeningBook, request).value);
    for (let i = 0; i < 600; i += 1) once();
    const times = Array.from({ length: 300 }, () => {
      const start = performance.now();
      once();
      return performance.now() - start;
    });
    report(name, times, ids === seven ? 'under 2 ms' : '–');
  }
}

await benchPages(await benchCore());
