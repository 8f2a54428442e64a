import assert from 'node:assert/strict';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, test } from 'node:test';
import wavefile from 'wavefile';
import { readWav, writeWav } from '../../../src/work/wav';
import { run } from '../../support/commands';

/*
 * Takes as files: WAV of any usual kind, and the two commands that listen and simulate.
 */

const folder = mkdtempSync(join(tmpdir(), 'dove-path-'));
after(() => rmSync(folder, { recursive: true }));
const file = (name: string, content: string | Uint8Array) => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};

const { WaveFile } = 'WaveFile' in wavefile ? wavefile : (wavefile as { default: typeof wavefile }).default;

test('WAV files of every usual depth, rate and number of channels are read', () => {
  for (const depth of ['8', '16', '24', '32', '32f', '64'])
    for (const rate of [8000, 22_050, 44_100, 192_000])
      for (const channels of [1, 2]) {
        const wave = Array.from({ length: 400 }, (_, n) => 0.5 * Math.sin(n / 9));
        const most = depth.endsWith('f') || depth === '64' ? 1 : 2 ** (Number(depth) - 1) - 1;
        const whole = wave.map((one) =>
          depth === '8' ? Math.round(127 * one) + 128 : most === 1 ? one : Math.round(most * one),
        );
        const made = new WaveFile();
        made.fromScratch(channels, rate, depth, channels === 1 ? whole : [whole, whole]);
        const sound = readWav(made.toBuffer());
        assert.ok(typeof sound !== 'string', `${depth} ${rate}: ${String(sound)}`);
        assert.equal(sound.rate, rate);
        sound.samples.forEach((one, n) =>
          assert.ok(Math.abs(one - wave[n]) < 0.02, `${depth} ${rate} at ${n}: ${one}`),
        );
      }
});

test('what is no WAV, or a damaged one, is told and never read', () => {
  assert.equal(readWav(new TextEncoder().encode('no sound at all, but long enough to be one of those')), 'not-a-wav');
  assert.equal(readWav(new Uint8Array(0)), 'not-a-wav');
  assert.equal(readWav(writeWav({ samples: new Float32Array(0), rate: 44_100 })), 'empty-wav');
  assert.equal(readWav(writeWav({ samples: new Float32Array(900), rate: 4000 })), 'odd-rate');
  const good = writeWav({ samples: new Float32Array(900), rate: 44_100 });
  for (let cut = 12; cut <= 44; cut += 4) {
    const found = readWav(good.slice(0, cut));
    assert.ok(typeof found === 'string', `${cut} bytes`);
  }
});

const REQUEST = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'D4', scale: 'major', octaves: 1, direction: 'updown' },
  tempo: { bpm: 150 },
};

test('a take is simulated, with the truth beside it, and what is wrong with it is heard', () => {
  const request = file('request.json', JSON.stringify(REQUEST));
  const faults = file(
    'faults.json',
    JSON.stringify([
      { fault: 'finger', finger: 2, mm: -2.4 },
      { fault: 'scatter', cents: 2 },
    ]),
  );
  const [take, truth] = [join(folder, 'take.wav'), join(folder, 'truth.json')];
  const made = run('simulate', [request, faults, '--out', take, '--truth', truth, '--seed', '7']);
  assert.equal(made.code, 0, made.said);
  const told = JSON.parse(readFileSync(truth, 'utf8')) as { notes: { at: number; start: number; cents: number }[] };
  const { code, out, said } = run('listen', [take, request, '--a4', '440']);
  assert.equal(code, 0, said);
  const heard = JSON.parse(out.toString()) as {
    passes: { notes: { at: number; cents?: number }[] }[];
    causes: { cause: string; finger?: number; mm?: number; message: string }[];
  };
  for (const { at, cents } of told.notes) {
    const note = heard.passes[0].notes.find((one) => one.at === at);
    assert.ok(Math.abs((note?.cents ?? Infinity) - cents) <= 2, `note ${at}: ${note?.cents} for ${cents}`);
  }
  const [cause] = heard.causes;
  assert.deepEqual([cause.cause, cause.finger], ['finger', 2]);
  assert.match(cause.message, /^Finger 2 stands 2\.\d mm towards the nut/);
});

test('faults that cannot be understood, and takes that cannot be read, are refused with what to do', () => {
  const request = file('request.json', JSON.stringify(REQUEST));
  const wrong = (faults: unknown) =>
    run('simulate', [request, file('wrong.json', JSON.stringify(faults)), '--out', join(folder, 'no.wav')]);
  for (const [faults, words] of [
    [[{ fault: 'mood' }], 'Choose one of'],
    [[{ fault: 'string', string: 'H4', cents: 3 }], 'Choose one of G3, D4, A4, E5'],
    [[{ fault: 'skip', at: 99 }], 'There is no such note'],
    [{ fault: 'skip' }, 'must be an array'],
  ] as const) {
    const { code, said } = wrong(faults);
    assert.equal(code, 2, said);
    assert.ok(said.includes(words), said);
  }
  const { code, said } = run('listen', [file('words.wav', 'words'), request]);
  assert.equal(code, 2);
  assert.match(said, /no WAV file/);
});
