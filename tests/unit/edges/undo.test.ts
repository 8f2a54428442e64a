import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { afterEdit, MOST_STEPS, NO_HISTORY, stepOf, type History } from '../../../src/app/undo';
import { fieldsBetween, withFields, type Fields } from '../../../src/store/changes';

interface Thing {
  readonly a: number;
  readonly b?: number;
}

/** What an edit from one state to another leaves behind. */
const edit = (from: Thing, to: Thing) => fieldsBetween<Thing>(from, to) ?? { from: {}, to: {} };

test('undo goes back through every state and redo forward again, exactly', () => {
  const thing = fc.record({ a: fc.nat(3), b: fc.nat(3) }, { requiredKeys: ['a'] });
  fc.assert(
    fc.property(fc.array(thing, { minLength: 1, maxLength: 40 }), (things) => {
      const states: Thing[] = [{ a: -1 }, ...things];
      let history: History<Fields<Thing>> = NO_HISTORY;
      things.forEach((next, at) => (history = afterEdit(history, edit(states[at], next), null)));
      let now = states[states.length - 1];
      for (let at = states.length - 2; at >= 0; at--) {
        const back = stepOf(history, 'back');
        assert.ok(back);
        now = withFields(now, back.change);
        assert.deepEqual({ ...now }, { ...now, ...states[at] });
        assert.equal(now.b, states[at].b);
        ({ history } = back);
      }
      assert.equal(stepOf(history, 'back'), null);
      for (let at = 1; at < states.length; at++) {
        const forth = stepOf(history, 'forward');
        assert.ok(forth);
        now = withFields(now, forth.change);
        assert.deepEqual([now.a, now.b], [states[at].a, states[at].b]);
        ({ history } = forth);
      }
      assert.equal(stepOf(history, 'forward'), null);
    }),
  );
});

test('letters typed one after the other are undone together, and a new edit ends what could be redone', () => {
  let history = afterEdit(NO_HISTORY as History<Fields<Thing>>, edit({ a: 0 }, { a: 1 }), 'typed');
  history = afterEdit(history, edit({ a: 1 }, { a: 2, b: 1 }), 'typed');
  assert.equal(history.past.length, 1);
  const back = stepOf(history, 'back');
  assert.deepEqual(back?.change.to, { a: 0, b: undefined });
  assert.equal(back?.history.future.length, 1);
  const other = edit({ a: 0 }, { a: 9 });
  assert.equal(afterEdit(back?.history ?? NO_HISTORY, other, null).future.length, 0);
  assert.equal(afterEdit(back?.history ?? NO_HISTORY, other, 'typed').past.length, 1);
});

test('a very long history forgets its oldest steps only', () => {
  let history: History<Fields<Thing>> = NO_HISTORY;
  for (let at = 0; at < MOST_STEPS + 20; at++) history = afterEdit(history, edit({ a: at }, { a: at + 1 }), null);
  assert.equal(history.past.length, MOST_STEPS);
  assert.equal(history.past[0].from.a, 20);
});
