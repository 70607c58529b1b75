import assert from 'node:assert/strict';
import test from 'node:test';
import { Treads } from '../../src/main/resources/static/js/rooms/chair/treads.js';

// the server's clock is 100 s ahead of this device's
const at = (ms) => 100_000 + ms;

test('a tread is taken once', () => {
  const treads = new Treads(at(0), 0);
  assert.equal(treads.takes({ id: 'a', at: at(500) }, 520), true);
  assert.equal(treads.takes({ id: 'a', at: at(500) }, 530), false);
  assert.equal(treads.takes({ id: 'b', at: at(500) }, 530), true);
});

test('what comes late is no press, whatever the device thinks the time is', () => {
  const treads = new Treads(at(0), 0);
  assert.equal(treads.takes({ id: 'a', at: at(1_000) }, 4_900), true);
  assert.equal(treads.takes({ id: 'b', at: at(1_000) }, 5_100), false);
  // a burst after sleeping for a minute: only the last is fresh
  const burst = [2_000, 20_000, 58_000].map((ms, k) => treads.takes({ id: `c${k}`, at: at(ms) }, 60_000));
  assert.deepEqual(burst, [false, false, true]);
});
