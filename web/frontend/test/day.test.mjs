import assert from 'node:assert/strict';
import { test } from 'node:test';

globalThis.document ??= { addEventListener() {} };
document.documentElement = { dataset: {} };
const said = document.documentElement.dataset;
const { read, shown, step, weeks } = await import('../../src/main/resources/static/js/parts/day.js');

const utc = (y, m, d) => new Date(Date.UTC(y, m - 1, d));

test('what is shown is read, day by day', () => {
  for (let k = 0; k < 1200; k++) {
    const day = new Date(utc(2026, 11, 29).getTime() + k * 86_400_000);
    assert.equal(read(shown(day)).getTime(), day.getTime());
  }
  assert.equal(shown(utc(2026, 12, 3)), 'Thu 3 Dec 2026');
  assert.equal(read('soon'), null);
});

test('weeks begin on Monday and hold the whole month', () => {
  const november = weeks(2026, 10);
  assert.equal(shown(november[0][0]), 'Mon 26 Oct 2026');
  assert.equal(shown(november.at(-1)[6]), 'Sun 6 Dec 2026');
  assert.equal(weeks(2027, 1).length, 4);
});

test('arrows go by day and week, pages by month', () => {
  assert.equal(shown(step(utc(2026, 11, 30), 'ArrowRight')), 'Tue 1 Dec 2026');
  assert.equal(shown(step(utc(2026, 11, 30), 'ArrowUp')), 'Mon 23 Nov 2026');
  assert.equal(shown(step(utc(2026, 12, 31), 'PageDown')), 'Sun 31 Jan 2027');
  assert.equal(shown(step(utc(2027, 1, 31), 'PageDown')), 'Sun 28 Feb 2027');
  assert.equal(step(utc(2027, 1, 31), 'Enter'), null);
});

test('whoever says the month first reads it so', () => {
  said.dates = 'month_first';
  for (let k = 0; k < 1200; k++) {
    const day = new Date(utc(2026, 11, 29).getTime() + k * 86_400_000);
    assert.equal(read(shown(day)).getTime(), day.getTime());
  }
  assert.equal(shown(utc(2026, 12, 3)), 'Thu Dec 3, 2026');
  delete said.dates;
});

test('a week begins with the day one is used to', () => {
  for (const [week, day] of Object.entries({ monday: 1, sunday: 0, saturday: 6 })) {
    said.week = week;
    for (let month = 0; month < 12; month++) {
      const rows = weeks(2026, month);
      assert.ok(
        rows.every((row) => row[0].getUTCDay() === day && row.length === 7),
        week,
      );
      assert.equal(rows.flat().filter((d) => d.getUTCMonth() === month).length, new Date(2026, month + 1, 0).getDate());
    }
  }
  delete said.week;
});

test('hours as one is used to', async () => {
  const { hourText } = await import('../../src/main/resources/static/js/parts/clock.js');
  assert.equal(hourText(16, 5), '16:05');
  said.hours = 'h12';
  assert.deepEqual([hourText(0, 5), hourText(9, 30), hourText(12, 0), hourText(23, 59)], ['12:05 am', '9:30 am', '12:00 pm', '11:59 pm']);
  delete said.hours;
});
