import assert from 'node:assert/strict';
import { test } from 'node:test';
import { EVERY_ANSWER, turnedAway, type Coming } from '../../../src/server/door';
import { errorPage } from '../../../src/server/errorPage';
import { listenTrouble, readSettings } from '../../../src/server/settings';

const coming = (part: Partial<Coming>, headers: Coming['headers'] = {}): Coming => ({
  method: 'GET',
  url: '/',
  ...part,
  headers: { host: '127.0.0.1:4321', ...headers },
});
const status = (one: Coming, names: string[] = []) => turnedAway(one, names)?.status ?? 200;

test('only names of this machine, plain addresses and the names given are answered', () => {
  for (const host of ['localhost', 'localhost:80', '127.0.0.1:4321', '[::1]:4321', '192.168.1.20'])
    assert.equal(status(coming({}, { host })), 200, host);
  assert.equal(status(coming({}, { host: 'evil.example' })), 421);
  assert.equal(status(coming({}, { host: undefined })), 421);
  assert.equal(status(coming({}, { host: 'music.school:443' }), ['music.school']), 200);
});

test('another site’s page may not ask, whatever it calls its text; programs and own pages may', () => {
  const post = (headers: Coming['headers']) => status(coming({ method: 'POST', url: '/api/plan' }, headers));
  assert.equal(post({ 'sec-fetch-site': 'cross-site', 'content-type': 'text/plain' }), 403);
  assert.equal(post({ 'sec-fetch-site': 'same-site' }), 403);
  assert.equal(post({ origin: 'http://evil.example' }), 403);
  assert.equal(post({ origin: 'null' }), 403);
  assert.equal(post({ origin: 'http://127.0.0.1:4321' }), 200);
  assert.equal(post({ 'sec-fetch-site': 'same-origin' }), 200);
  assert.equal(post({}), 200);
});

test('methods, codings and broken addresses are answered with what to do', () => {
  assert.equal(status(coming({ url: '/%E0%A4%A' })), 400);
  assert.equal(status(coming({ method: 'TRACE' })), 405);
  assert.equal(turnedAway(coming({ method: 'DELETE' }), [])?.allow, 'GET, HEAD, OPTIONS');
  assert.equal(status(coming({ method: 'POST', url: '/studio' })), 405);
  assert.equal(status(coming({ method: 'HEAD' })), 200);
  assert.equal(status(coming({ url: '/_image?href=/dove.svg' })), 404);
  const zipped = coming({ method: 'POST', url: '/api/plan' }, { 'content-encoding': 'gzip' });
  assert.equal(status(zipped), 415);
  for (const one of [coming({ url: '/%E0%A4%A' }), coming({ method: 'TRACE' }), zipped])
    assert.match(turnedAway(one, [])?.message ?? '', /[A-Z].*\./);
});

test('every answer says how it may be used', () => {
  assert.deepEqual(
    ['x-content-type-options', 'referrer-policy', 'content-security-policy'].filter((name) => !EVERY_ANSWER[name]),
    [],
  );
});

test('a page for what is turned away repeats nothing that could be run', () => {
  const page = errorPage(400, '<script>alert("x")</script> & so on');
  assert.ok(!page.includes('<script>'));
  assert.ok(page.includes('&lt;script&gt;'));
});

test('an impossible port or host is said in a sentence', () => {
  for (const PORT of ['99999', '-1', 'abc', '80.5']) {
    const said = readSettings({ PORT });
    assert.ok(typeof said === 'string' && said.includes(PORT), PORT);
  }
  const settings = readSettings({ PORT: '8080', HOST: '0.0.0.0', ALLOWED_HOSTS: ' A.example, ', LOG: 'off' });
  assert.deepEqual(settings, { host: '0.0.0.0', port: 8080, names: ['a.example'], log: false });
  assert.ok(typeof settings === 'object');
  for (const code of ['EADDRINUSE', 'EACCES', 'EADDRNOTAVAIL', 'EOTHER'])
    assert.match(listenTrouble(Object.assign(new Error('x'), { code }), settings), /[A-Z].*\./);
});
