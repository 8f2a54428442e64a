import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { answerFault, demandingRequest, hostileRequest, refusalFault } from '../../support/fuzz';
import { runs } from '../../support/runs';

/* The short form of npm run faults. */

const SEED = 6;

test('whatever is demanded, the answer is sound, fits the schema, is the same twice, and its remedies help', () => {
  fc.assert(
    fc.property(demandingRequest, (request) => assert.equal(answerFault(request), null)),
    runs(60, SEED),
  );
});

test('whatever hostile thing stands in a request, it is refused in few words or planned', () => {
  fc.assert(
    fc.property(hostileRequest, (request) => assert.equal(refusalFault(JSON.stringify(request)), null)),
    runs(200, SEED),
  );
});
