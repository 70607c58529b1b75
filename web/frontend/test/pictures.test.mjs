import assert from 'node:assert/strict';
import { test } from 'node:test';
import { halves, ranked, waysOf } from '../../src/main/resources/static/js/parts/beside.js';
import { turned } from '../../src/main/resources/static/js/rooms/picture/pictures.js';

const picture = (id, view, ...zones) => ({ id, view, zones });

test('what is pinned to what is pressed comes first, then what is seen from there', () => {
  const all = [picture(1, 'left'), picture(2, 'front'), picture(3, 'back', 'nose'), picture(4, 'front', 'nose', 'chin')];
  const ids = (zones, view) => ranked(all, zones, view).map((p) => p.id);
  assert.deepEqual(ids(['nose'], 'front'), [4, 3, 2, 1]);
  assert.deepEqual(ids([], 'left'), [1, 2, 3, 4]);
  assert.deepEqual(ids(['ear-left'], 'back'), [3, 1, 2, 4]);
});

test('now is offered only where there is a photograph of it', () => {
  assert.deepEqual(waysOf([]), ['alone', 'sides']);
  assert.deepEqual(waysOf([{ src: '/x' }]), ['alone', 'now', 'sides', 'now-sides']);
});

test('both halves are as wide as the narrower side of the middle', () => {
  assert.deepEqual(halves(100, 50), { wide: 50, from: 0 });
  assert.deepEqual(halves(100, 70), { wide: 30, from: 40 });
  assert.deepEqual(halves(100, 20), { wide: 20, from: 0 });
});

test('a zone that is pressed again is unpinned', () => {
  assert.deepEqual(turned(['nose'], 'chin'), ['nose', 'chin']);
  assert.deepEqual(turned(['nose', 'chin'], 'nose'), ['chin']);
});
