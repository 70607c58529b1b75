// The chair between two answers of the server: what its clocks say, what counts, and that no press is lost or counted twice.
import assert from 'node:assert/strict';
import { webcrypto } from 'node:crypto';
import { beforeEach, test } from 'node:test';
import { Line } from '../../src/main/resources/static/js/rooms/chair/line.js';
import { State, stateOf } from '../../src/main/resources/static/js/rooms/chair/state.js';

const MIN = 60_000;

// ---------------------------------------------------------------- films

/** Laid at 0, tacky after 2 min, closes after 10, clear after 12. */
const film = { step: 'gum', laid: 0, tacky: 2 * MIN, closes: 10 * MIN, clear: 12 * MIN, confirmed: false, wanted: 'press' };

test('a film is wet, tacky, closing, closed', () => {
  assert.deepEqual(stateOf(film, 1 * MIN), { state: 'wet', until: 2 * MIN, says: 'wet' });
  assert.deepEqual(stateOf(film, 2 * MIN), { state: 'tacky', until: 10 * MIN, says: 'tacky' });
  assert.deepEqual(stateOf(film, 8 * MIN), { state: 'closing', until: 10 * MIN, says: 'closing' });
  assert.deepEqual(stateOf(film, 10 * MIN), { state: 'dry', until: null, says: 'closed' });
});

test('a film nothing goes into is looked at when it should be clear, and dry only when somebody has looked', () => {
  const clear = { laid: 0, tacky: null, closes: null, clear: 5 * MIN, confirmed: false };
  assert.equal(stateOf(clear, 5 * MIN - 1).says, 'wet');
  assert.equal(stateOf(clear, 5 * MIN).says, 'check it now');
  assert.equal(stateOf({ ...clear, confirmed: true }, 1).says, 'dry');
});

test('a film that closes before it is tacky is wet until it is', () => {
  assert.equal(stateOf({ ...film, tacky: 9 * MIN }, 8.5 * MIN).says, 'wet');
});

// ---------------------------------------------------------------- how it stands

const view = () => ({
  now: 100 * MIN,
  pace: 1,
  inHand: 5,
  ended: false,
  allDone: false,
  clocks: [],
  hands: [
    { name: 'Ines', driver: '', running: null, upcoming: { step: 'coat', from: 100 * MIN, until: 104 * MIN }, ahead: [{ step: 'powder' }] },
    { name: 'Pell', driver: 'phone', running: null, upcoming: { step: 'cap', from: 130 * MIN, until: 140 * MIN }, ahead: [] },
    { name: '', driver: '', running: null, upcoming: { step: 'dress', from: 120 * MIN, until: 130 * MIN }, ahead: [] },
  ],
});

function at(minutes, changes = {}, mine = 'Ines') {
  let real = 0;
  const state = new State({ ...view(), ...changes }, 'tablet', mine, () => real);
  real = minutes * MIN;
  return state;
}

test('the run’s clock counts on, a rehearsal’s faster', () => {
  assert.equal(at(3).now(), 103 * MIN);
  assert.equal(at(3, { pace: 30 }).now(), 190 * MIN);
});

test('hands that have gone are shown no more', () => {
  assert.equal(at(0, {}, 'Marit').mine, 'Ines');
  assert.equal(at(0, {}, 'Pell').mine, 'Pell');
});

test('who helps with the step that stands above does not say it once more', () => {
  const hands = view().hands;
  hands[0].running = { step: 'lift', title: 'Lift the front' };
  hands[1].helps = 'Help Ines now: Lift the front';
  const state = at(0, { hands });
  assert.equal(state.helpText(hands[1]), 'Help Ines now');
  assert.equal(at(0, { hands }, 'Pell').helpText(hands[1]), 'Help Ines now: Lift the front');
  hands[1].helps = 'Help Marit at 05:40: Press the edge';
  assert.equal(state.helpText(hands[1]), 'Help Marit at 05:40: Press the edge');
});

test('another device’s hands are not driven here', () => {
  const state = at(0);
  assert.ok(state.drivenHere(state.hands('Ines')));
  assert.ok(!state.drivenHere(state.hands('Pell')));
  assert.ok(state.drivenHere({ driver: 'tablet' }));
});

test('one’s own hands come first; what the performer does comes in when it is near', () => {
  assert.deepEqual(
    at(0, {}, 'Pell')
      .inOrder()
      .map((h) => h.name),
    ['Pell', 'Ines'],
  );
  assert.deepEqual(
    at(11)
      .inOrder()
      .map((h) => h.name),
    ['Ines', 'Pell', ''],
  );
});

test('a window that has closed is said once, above everything', () => {
  const clocks = [{ ...film, closes: 101 * MIN, clear: 110 * MIN, tacky: 99 * MIN, laid: 95 * MIN }];
  assert.equal(at(0, { clocks }).missed(), undefined);
  const state = at(1, { clocks });
  assert.equal(state.missed().step, 'gum');
  assert.ok(state.isClosed({ step: 'press' }));
  assert.equal(state.countFor({ running: null }, { step: 'press' }), null);
});

test('one number is counted: what is left, what closes, what is waited for', () => {
  const state = at(0);
  assert.deepEqual(state.countFor({ running: true }, { until: 7 }), { kind: 'work', until: 7 });
  assert.deepEqual(state.countFor({ running: true }, { until: 7, doneAt: 1 }), { kind: 'over-now', until: 7 });
  assert.deepEqual(state.countFor({}, { step: 'press', closes: 105 * MIN }), { kind: 'closing', until: 105 * MIN });
  assert.deepEqual(state.countFor(state.hands('Pell'), state.hands('Pell').upcoming), { kind: 'wait', until: 130 * MIN });
  assert.equal(state.countFor(state.hands('Ines'), state.hands('Ines').upcoming), null);
});

test('what was pressed while the line was down is supposed done', () => {
  const state = at(1);
  state.suppose({ type: 'START', hands: 'Ines', step: 'coat' });
  assert.deepEqual(state.hands('Ines').running, { step: 'coat', from: 101 * MIN, until: 105 * MIN });
  state.suppose({ type: 'FINISH', hands: 'Ines', step: 'coat' });
  assert.equal(state.hands('Ines').running, null);
  assert.equal(state.hands('Ines').upcoming.step, 'powder');
});

test('how it stood before a press that was kept does not undo it, and what the server knows already is not done twice', () => {
  const state = at(2);
  const kept = [
    { type: 'START', hands: 'Ines', step: 'coat' },
    { type: 'FINISH', hands: 'Ines', step: 'coat' },
  ];
  state.take(view(), kept);
  assert.equal(state.hands().running, null);
  assert.equal(state.hands().upcoming.step, 'powder');
  const told = view();
  told.hands[0] = { ...told.hands[0], running: null, upcoming: { step: 'powder', from: 100 * MIN, until: 104 * MIN }, ahead: [{ step: 'lips' }] };
  state.take(told, kept);
  assert.equal(state.hands().running, null);
  assert.equal(state.hands().upcoming.step, 'powder');
});

test('the call is in danger only while something is left to do', () => {
  assert.ok(at(0, { inHand: -1 }).inDanger());
  assert.ok(!at(0, { inHand: 0 }).inDanger());
  assert.ok(!at(0, { inHand: -1, allDone: true }).inDanger());
});

// ---------------------------------------------------------------- the line

// older Node has no crypto of its own in sight, as browsers have
globalThis.crypto ??= webcrypto;

let store;
let sent;
let answers;
let heard;

beforeEach(() => {
  store = new Map();
  sent = [];
  heard = [];
  answers = [];
  globalThis.localStorage = { getItem: (k) => store.get(k) ?? null, setItem: (k, v) => store.set(k, v) };
  globalThis.document = { querySelector: () => ({ content: 'x' }) };
  globalThis.fetch = async (path, { body } = {}) => {
    sent.push([path, body && JSON.parse(body)]);
    const next = answers.shift() ?? 200;
    if (next === 'down') throw new TypeError('no line');
    return {
      ok: next === 200,
      status: next,
      redirected: false,
      json: async () => (next === 200 ? { view: 'now', said: 'said' } : { wrong: 'no', ask: next === 409 }),
    };
  };
});

function line() {
  const hear =
    (what) =>
    (...told) =>
      heard.push([what, ...told]);
  return new Line('/jobs/1/chair', {
    answer: hear('answer'),
    refused: hear('refused'),
    kept: hear('kept'),
    aside: hear('aside'),
    pedal: hear('pedal'),
    lost: hear('lost'),
    signedOut: hear('signedOut'),
  });
}

test('a report has an id of its own and the form it is in', async () => {
  await line().send({ type: 'FINISH', step: 'coat', hands: 'Ines' });
  const [path, press] = sent[0];
  assert.equal(path, '/jobs/1/chair/events');
  assert.match(press.id, /^[0-9a-f-]{36}$/);
  assert.deepEqual({ ...press, id: '' }, { id: '', version: 2, type: 'FINISH', step: 'coat', hands: 'Ines', ago: 0 });
  assert.deepEqual(heard.at(-1), ['answer', { view: 'now', said: 'said' }]);
});

test('a press that cannot be delivered is kept, and everything after it, until it can', async () => {
  const it = line();
  answers = ['down'];
  await it.send({ type: 'START', step: 'coat' });
  await it.send({ type: 'FINISH', step: 'coat' });
  assert.equal(it.kept.count, 2);
  assert.equal(sent.length, 1, 'the second waits behind the first');
  assert.equal(heard.filter(([what]) => what === 'kept').length, 2);
  sent.length = 0;
  await it.deliver();
  assert.deepEqual(
    sent.map(([, press]) => press.type),
    ['START', 'FINISH'],
  );
  assert.ok(sent.every(([, press]) => press.ago >= 0));
  assert.equal(it.kept.count, 0);
  assert.deepEqual(heard.at(-1), ['lost', false]);
});

test('where the line drops in the middle, the rest stays kept under the same ids', async () => {
  const it = line();
  answers = ['down'];
  await it.send({ type: 'START', step: 'coat' });
  await it.send({ type: 'FINISH', step: 'coat' });
  const ids = it.kept.all().map((k) => k.press.id);
  answers = [200, 'down'];
  await it.deliver();
  assert.deepEqual(
    it.kept.all().map((k) => k.press.id),
    ids.slice(1),
  );
  assert.deepEqual(heard.at(-1), ['lost', true]);
});

test('what was kept and can no longer be is left aside, and what follows goes out', async () => {
  const it = line();
  answers = ['down'];
  await it.send({ type: 'START', step: 'coat' });
  await it.send({ type: 'NOTE', text: 'seen' });
  answers = [409, 200];
  await it.deliver();
  assert.ok(heard.some(([what, why]) => what === 'aside' && why === 'no'));
  assert.equal(it.kept.count, 0);
});

test('a refusal is said, not kept', async () => {
  const it = line();
  answers = [409];
  await it.send({ type: 'START', step: 'late' });
  assert.equal(it.kept.count, 0);
  const [, press, said] = heard.find(([what]) => what === 'refused');
  assert.equal(press.step, 'late');
  assert.deepEqual(said, { wrong: 'no', ask: true });
});

test('a full disk keeps the press and says why', async () => {
  const it = line();
  answers = [507];
  await it.send({ type: 'NOTE', text: 'a' });
  assert.equal(it.kept.count, 1);
  assert.equal(it.why, 'no', 'in the words of the server');
  answers = [200];
  await it.deliver();
  assert.equal(it.kept.count, 0);
  assert.equal(it.why, '');
});

test('a server that stumbles, or does not know who is there, keeps the press', async () => {
  const it = line();
  answers = [500];
  await it.send({ type: 'NOTE', text: 'a' });
  assert.equal(it.kept.count, 1);
  answers = [403];
  await it.deliver();
  assert.equal(it.kept.count, 1);
  assert.ok(
    heard.some(([what, pressed]) => what === 'signedOut' && pressed),
    'whoever stands here is asked to sign in',
  );
});
