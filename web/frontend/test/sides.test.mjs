// Marks on a photograph: what is asked for next, and what is drawn between them.
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { ask, lines } from '../../src/main/resources/static/js/rooms/book/sides.js';

test('two edges, two marks of the middle, then pairs', () => {
  assert.match(ask(0), /widest, on one side/);
  assert.match(ask(2), /between the brows/);
  assert.match(ask(4), /one side \(pair 1\)/);
  assert.match(ask(5), /other side \(pair 1\)/);
  assert.match(ask(6), /one side \(pair 2\)/);
});

test('a line joins each two marks, and none a mark that is still alone', () => {
  assert.deepEqual(lines(5), [
    [0, 1],
    [2, 3],
  ]);
  assert.deepEqual(lines(0), []);
});
