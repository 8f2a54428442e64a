import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { afterEdit, MOST_STEPS, NO_HISTORY, redone, undone, type History } from '../../../src/ui/history';
import type { Edited } from '../../../src/views/bench/state';

const state = (chosen: number): Edited => ({
  name: '',
  typed: undefined,
  chosen,
  studentId: null,
  tags: [],
  request: { instrument: 'violin', material: { type: 'notes', notes: [] } },
});

test('undo goes back through every state and redo forward again, exactly', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(), { minLength: 1, maxLength: 40 }), (edits) => {
      let history: History<Edited> = NO_HISTORY;
      const states = [state(-1), ...edits.map(state)];
      states.slice(1).forEach((_, at) => (history = afterEdit(history, states[at], null)));
      let now = states[states.length - 1];
      for (let at = states.length - 2; at >= 0; at--) {
        const back = undone(history, now);
        assert.ok(back);
        assert.equal(back.state, states[at]);
        ({ state: now, history } = back);
      }
      assert.equal(undone(history, now), null);
      for (let at = 1; at < states.length; at++) {
        const forth = redone(history, now);
        assert.ok(forth);
        assert.equal(forth.state, states[at]);
        ({ state: now, history } = forth);
      }
      assert.equal(redone(history, now), null);
    }),
  );
});

test('letters typed one after the other are undone together, and a new edit ends what could be redone', () => {
  let history = afterEdit(NO_HISTORY, state(0), 'typed');
  history = afterEdit(history, state(1), 'typed');
  assert.equal(history.past.length, 1);
  const back = undone(history, state(2));
  assert.equal(back?.state.chosen, 0);
  assert.equal(back?.history.future.length, 1);
  assert.equal(afterEdit(back?.history ?? NO_HISTORY, state(0), null).future.length, 0);
  assert.equal(afterEdit(back?.history ?? NO_HISTORY, state(0), 'typed').past.length, 1);
});

test('a very long history forgets its oldest steps only', () => {
  let history: History<Edited> = NO_HISTORY;
  for (let at = 0; at < MOST_STEPS + 20; at++) history = afterEdit(history, state(at), null);
  assert.equal(history.past.length, MOST_STEPS);
  assert.equal(history.past[0].chosen, 20);
});
