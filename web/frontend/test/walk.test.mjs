import assert from 'node:assert/strict';
import { test } from 'node:test';
import { placeOf, STEPS } from '../../src/main/resources/static/js/parts/walk.js';

test('an address says which job and which room', () => {
  assert.deepEqual(placeOf('/jobs/12/look'), { job: '12', room: 'look' });
  assert.deepEqual(placeOf('/jobs/12/pictures'), { job: '12', room: 'look' });
  assert.equal(placeOf('/shelf'), null);
});

test('what is asked for first is done when a cheek is pressed', () => {
  const done = (zones) => STEPS[0].done(new URL(`http://kemdro/jobs/1/look?zones=${zones}`));
  assert.equal(done('cheek-left'), true);
  assert.equal(done('nose'), false);
});
