import assert from 'node:assert/strict';
import { test } from 'node:test';
import { holds } from '../../src/main/resources/static/js/parts/filter.js';

test('every word that is typed must begin one of those that are said', () => {
  assert.equal(holds('texture patches glued in rounds barnacle bark', 'barna'), true);
  assert.equal(holds('texture patches glued in rounds barnacle bark', 'barnacles'), true);
  assert.equal(holds('texture patches glued in rounds barnacle bark', 'bark round'), true);
  assert.equal(holds('texture patches glued in rounds barnacle bark', 'bark wig'), false);
  assert.equal(holds('bald cap', 'ald'), false);
});
