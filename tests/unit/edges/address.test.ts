import assert from 'node:assert/strict';
import { test } from 'node:test';
import { briefAddress } from '../../../src/app/brief/address';
import { readAddress } from '../../../src/app/brief/addressReading';
import type { PlanRequest } from '../../../src/core';
import { demoStudio } from '../../../src/store/demoStudio';

const request: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'Eb4', scale: 'major', octaves: 2, direction: 'updown' },
};

test('a brief goes into an address and comes out the same', () => {
  for (const { request: one } of demoStudio(0).plans) {
    const address = briefAddress(one);
    assert.match(address, /^#brief=[\w-]+$/);
    assert.deepEqual(readAddress(address), { kind: 'brief', request: JSON.parse(JSON.stringify(one)) });
  }
});

test('a brief that is too long for an address is left out of it', () => {
  const notes = Array.from({ length: 2000 }, () => ({ pitches: ['A4'] }));
  assert.equal(briefAddress({ instrument: 'violin', material: { type: 'notes', notes } }), '');
});

test('a cut, foreign or impossible address is refused in a sentence', () => {
  const address = briefAddress(request);
  assert.equal(readAddress('').kind, 'none');
  assert.equal(readAddress('#top').kind, 'none');
  for (const bad of [address.slice(0, 40), '#brief=***', '#brief=', `#brief=${btoa('{"instrument":"lute"}')}`]) {
    const reading = readAddress(bad);
    assert.equal(reading.kind, 'trouble', bad);
    if (reading.kind === 'trouble') assert.match(reading.message, /cannot be read.*Ask for the link again/);
  }
});

test('a brief that is no brief says what is wrong, with its place where it has one', () => {
  const packed = (text: string) => `#brief=${Buffer.from(text).toString('base64url')}`;
  const trouble = (text: string) => {
    const reading = readAddress(packed(text));
    return reading.kind === 'trouble' ? reading.message : 'no trouble';
  };
  assert.match(trouble('not json'), /cannot be read \(This is not JSON/);
  assert.match(trouble('{"instrument":"lute","material":{}}'), /cannot be read \(\/instrument: /);
});
