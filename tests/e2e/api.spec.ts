import { expect, test } from '@playwright/test';

const good = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 2, direction: 'up' },
};

test('a plan is answered over HTTP as by the core', async ({ request }) => {
  const response = await request.post('/api/plan', { data: good });
  expect(response.status()).toBe(200);
  const answer = await response.json();
  expect(answer.contract).toBe(1);
  expect(answer.plans).toHaveLength(3);
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
    const response = await request.post('/api/plan', {
      data,
      headers: { 'content-type': 'application/json' },
    });
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
  const asLines = await request.post('/api/book', {
    data: lines,
    headers: { 'content-type': 'application/x-ndjson' },
  });
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
  const page = {
    ...good,
    material: { ...good.material, scale: 'chromatic', octaves: 3, direction: 'updown' },
  };
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

test('a long request is worked out beside the server, which answers others meanwhile', async ({
  request,
}) => {
  const notes = Array.from({ length: 3000 }, (_, at) => ({ pitches: [['G3', 'E4', 'C5', 'A4'][at % 4]] }));
  const long = request.post('/api/plan', {
    data: { instrument: 'violin', material: { type: 'notes', notes } },
  });
  const short = await request.post('/api/plan', { data: good });
  expect(short.status()).toBe(200);
  const answer = await (await long).json();
  expect(answer.events).toHaveLength(3000);
  expect(answer.plans.length).toBeGreaterThan(0);
  expect(answer.book).toBeUndefined();
});
