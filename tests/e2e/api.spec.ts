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
