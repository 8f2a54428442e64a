import { expect, test } from './shared';
import { plan, type PlanRequest } from '../../src/core';
import { aBookHoldsAt, nestedTooDeep, tooManyItems } from '../../src/wording/rooms/serving';

const good: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
};

test('a plan is answered over HTTP as by the core', async ({ request }) => {
  const response = await request.post('/api/plan', { data: good });
  expect(response.status()).toBe(200);
  const answer = await response.json();
  expect(answer.contract).toBe(1);
  expect(answer.plans).toHaveLength(plan(good).plans.length);
  expect(answer.plans.length).toBeGreaterThan(1);
  expect(answer.plans[0].steps[0].stops[0]).toEqual({
    string: 'G3',
    finger: 1,
    semitones: 2,
    stopMm: 35.8,
    harmonic: false,
  });
});

test('bad requests are 422 with paths, never a stack trace', async ({ request }) => {
  const send = async (data: string) => {
    const response = await request.post('/api/plan', { data, headers: { 'content-type': 'application/json' } });
    return { status: response.status(), body: await response.json() };
  };
  const misspelt = await send(JSON.stringify({ ...good, instrument: 'fiddle' }));
  expect(misspelt.status).toBe(422);
  expect(misspelt.body.error.issues[0].path).toBe('/instrument');
  for (const text of ['', '{', 'null', '[]', '"x"']) {
    const { status, body } = await send(text);
    expect(status).toBe(422);
    expect(body.error.code).toBe('bad-request');
  }
});

test('a body too large is refused, another method too', async ({ request }) => {
  const large = await request.post('/api/plan', {
    data: ' '.repeat(4_500_000),
    headers: { 'content-type': 'application/json' },
  });
  expect(large.status()).toBe(413);
  expect((await large.json()).error.issues[0].message).toMatch(/larger/);
  const get = await request.get('/api/plan');
  expect(get.status()).toBe(405);
});

test('a book is streamed in order, a bad page among good ones', async ({ request }) => {
  const scale = (tonic: string) => ({ ...good, explain: 'nothing', material: { ...good.material, tonic } });
  const tonics = ['A3', 'Bb3', 'H3', 'C4', 'D4', 'Eb4'];
  const asArray = await request.post('/api/book', { data: tonics.map(scale) });
  const pages = (await asArray.text())
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line));
  expect(pages.map((page) => page.book)).toEqual(tonics.map((_, page) => ({ page, of: 6 })));
  expect(pages.map((page) => page.events?.[0].pitches[0] ?? page.error.code)).toEqual([
    'A3',
    'Bb3',
    'bad-request',
    'C4',
    'D4',
    'Eb4',
  ]);
  const lines = tonics.map((tonic) => JSON.stringify(scale(tonic))).join('\n');
  const asLines = await request.post('/api/book', { data: lines, headers: { 'content-type': 'application/x-ndjson' } });
  expect(await asLines.text()).toBe(await asArray.text());
});

test('a broken, empty or endless book is refused in a sentence', async ({ request }) => {
  for (const [data, status] of [
    ['[{', 422],
    ['', 422],
    ['{}\n'.repeat(6000), 422],
  ] as const) {
    const response = await request.post('/api/book', { data, headers: { 'content-type': 'text/plain' } });
    expect(response.status()).toBe(status);
    expect((await response.json()).error.issues[0].message).toMatch(/\w+.*\./);
  }
});

test('a book is stopped when its reader goes away, and the server goes on', async ({ baseURL, request }) => {
  const page = { ...good, material: { ...good.material, scale: 'chromatic', octaves: 3, direction: 'updown' } };
  const stop = new AbortController();
  const response = await fetch(`${baseURL}/api/book`, {
    method: 'POST',
    body: JSON.stringify(Array(400).fill(page)),
    signal: stop.signal,
  });
  await response.body?.getReader().read();
  stop.abort();
  const after = await request.post('/api/plan', { data: good });
  expect(after.status()).toBe(200);
});

test('a long request is worked out beside the server, which answers others meanwhile', async ({ request }) => {
  const notes = Array.from({ length: 3000 }, (_, at) => ({ pitches: [['G3', 'E4', 'C5', 'A4'][at % 4]] }));
  const long = request.post('/api/plan', { data: { instrument: 'violin', material: { type: 'notes', notes } } });
  const short = await request.post('/api/plan', { data: good });
  expect(short.status()).toBe(200);
  const answer = await (await long).json();
  expect(answer.events).toHaveLength(3000);
  expect(answer.plans.length).toBeGreaterThan(0);
  expect(answer.book).toBeUndefined();
});

test('every answer carries its policies: pages, files, plans, errors', async ({ request }) => {
  const page = await request.get('/');
  const file = /"(\/_astro\/[^"]+\.css)"/.exec(await page.text())?.[1] ?? '';
  const answers = [
    page,
    await request.get(file),
    await request.get('/nothing/here'),
    await request.get('/%E0%A4%A'),
    await request.post('/api/plan', { data: good }),
    await request.post('/api/plan', { data: '{' }),
  ];
  expect(answers.map((answer) => answer.status())).toEqual([200, 200, 404, 400, 200, 422]);
  for (const answer of answers) {
    const headers = answer.headers();
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['referrer-policy']).toBe('no-referrer');
    expect(headers['content-security-policy']).toBeTruthy();
  }
  expect(await answers[2].text()).toContain('There is no page at this address');
  expect((await request.head('/')).status()).toBe(200);
  expect((await request.fetch('/api/plan', { method: 'OPTIONS' })).headers().allow).toContain('POST');
  expect((await request.get('/_image?href=%2Fdove.svg')).status()).toBe(404);
  const gallery = await request.get('/gallery');
  expect(gallery.status()).toBe(404);
  expect((await request.get('/licences.txt')).headers()['content-type']).toContain('text/plain');
});

test('a request that was once a crash is answered, names of an object’s own are no names', async ({ request }) => {
  const fights = {
    instrument: 'bass',
    material: { type: 'notes', notes: [{ pitches: ['A1'] }, { pitches: ['E1'] }] },
    rules: { fourthFinger: 'no-shift', locks: [{ at: 1, position: 6 }], never: [{ at: 0, position: 5 }] },
  };
  const answer = await request.post('/api/plan', { data: fights });
  expect(answer.status()).toBe(200);
  expect((await answer.json()).problems[0].code).toBe('out-of-rules');
  for (const name of ['__proto__', 'constructor', 'toString']) {
    const odd = await request.post('/api/plan', { data: { ...good, material: { ...good.material, scale: name } } });
    expect(odd.status()).toBe(422);
  }
});

test('a page names the scripts it begins with, and they are there', async ({ request }) => {
  for (const page of ['/', '/studio', '/practice?demo']) {
    const { link = '' } = (await request.get(page)).headers();
    const files = [...link.matchAll(/<([^>]+)>; rel=modulepreload/g)].map(([, file]) => file);
    expect(files.length, page).toBeGreaterThan(5);
    for (const file of files) expect((await request.get(file)).headers()['content-type'], file).toContain('javascript');
  }
  expect((await request.get('/api/schema/plan')).headers().link).toBeUndefined();
});

test('what is nested too deep or has too many items is refused before anything is built of it', async ({ request }) => {
  const send = async (path: string, data: string) => {
    const response = await request.post(path, {
      data: Buffer.from(data),
      headers: { 'content-type': 'application/json' },
    });
    return { status: response.status(), message: (await response.json()).error.issues[0].message as string };
  };
  expect(await send('/api/book', '['.repeat(7_000_000))).toEqual({ status: 422, message: nestedTooDeep(16) });
  const wrong = JSON.stringify({
    ...good,
    material: { type: 'notes', notes: Array.from({ length: 900_000 }, () => 1) },
  });
  expect(await send('/api/plan', wrong)).toEqual({ status: 422, message: tooManyItems(20_000) });
  const many = `[${Array.from({ length: 2001 }, () => '{}').join()}]`;
  expect(await send('/api/book', many)).toEqual({ status: 422, message: aBookHoldsAt(2000) });
});

test('pages and scripts come compressed, scripts for good; a range that cannot be met is 416', async ({ request }) => {
  const page = await request.get('/', { headers: { 'accept-encoding': 'br' } });
  expect(page.headers()['content-encoding']).toBe('br');
  const [script] = /\/_astro\/[\w.-]+\.js/.exec(page.headers().link) ?? [''];
  for (const coding of ['br', 'gzip']) {
    const headers = (await request.get(script, { headers: { 'accept-encoding': coding } })).headers();
    expect(headers['content-encoding']).toBe(coding);
    expect(headers['cache-control']).toContain('immutable');
  }
  expect((await request.get(script, { headers: { range: 'bytes=999999999-' } })).status()).toBe(416);
});
