// Days: typed as one says them, or picked from a month. One control everywhere.
import { habit, hourText } from './clock.js';
import { html } from './html.js';

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];
const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const DAY = 86_400_000;

const at = (year, month, day) => new Date(Date.UTC(year, month, day));

/** As fields show a day: "Thu 3 Dec 2026", or "Thu Dec 3, 2026". */
export function shown(date, monthFirst = habit().dates === 'month_first') {
  const [day, month] = [date.getUTCDate(), MONTHS[date.getUTCMonth()].slice(0, 3)];
  return `${DAYS[(date.getUTCDay() + 6) % 7]} ${monthFirst ? `${month} ${day},` : `${day} ${month}`} ${date.getUTCFullYear()}`;
}

/** The day that is shown; null where something else is typed. */
export function read(text) {
  const [, date, year] = text.trim().match(/^(?:\w{3} )?(\d{1,2} \w{3}|\w{3} \d{1,2},) (\d{4})/) ?? [];
  const month = MONTHS.findIndex((m) => date?.includes(m.slice(0, 3)));
  return month < 0 ? null : at(Number(year), month, Number(date.match(/\d+/)[0]));
}

/** How many days after a Monday a week begins. */
const begins = () => ({ sunday: 6, saturday: 5 })[habit().week] ?? 0;

/** Weeks of a month; days of its neighbours fill them up. */
export function weeks(year, month, from = begins()) {
  const first = at(year, month, 1);
  const begin = first.getTime() - ((first.getUTCDay() + 13 - from) % 7) * DAY;
  const rows = [];
  for (let row = 0; row < 6; row++) rows.push(Array.from({ length: 7 }, (_, k) => new Date(begin + (row * 7 + k) * DAY)));
  return rows.filter((row) => row.some((d) => d.getUTCMonth() === month));
}

/** Where an arrow leads from a day; null for other keys. */
export function step(date, key) {
  const days = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[key];
  if (days) return new Date(date.getTime() + days * DAY);
  const months = { PageUp: -1, PageDown: 1 }[key];
  if (!months) return null;
  const last = at(date.getUTCFullYear(), date.getUTCMonth() + months + 1, 0).getUTCDate();
  return at(date.getUTCFullYear(), date.getUTCMonth() + months, Math.min(date.getUTCDate(), last));
}

let open = null;

function close(back) {
  open?.sheet.remove();
  if (back) open?.button.focus();
  open = null;
}

function pick(field, date) {
  const hour = field.dataset.day === 'moment' ? ` ${field.value.match(/\d{1,2}[:.]\d{2}( [ap]m)?$/)?.[0] ?? hourText(18, 0)}` : '';
  field.value = shown(date) + hour;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.dispatchEvent(new Event('change', { bubbles: true }));
  close(true);
}

function draw(field, sheet, date) {
  const [year, month] = [date.getUTCFullYear(), date.getUTCMonth()];
  const turn = (says, key) => {
    const button = html('button', { type: 'button', 'aria-label': says }, key === 'PageUp' ? '‹' : '›');
    button.addEventListener('click', () => draw(field, sheet, step(date, key)));
    return button;
  };
  const now = new Date();
  const today = at(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
  const cell = (d) => {
    const here = d.getTime() === date.getTime();
    const button = html(
      'button',
      {
        type: 'button',
        class: d.getUTCMonth() === month ? '' : 'other',
        tabindex: here ? '0' : '-1',
        'aria-label': `${d.getUTCDate()} ${MONTHS[d.getUTCMonth()]} ${d.getUTCFullYear()}`,
        'aria-current': d.getTime() === today ? 'date' : null,
        'aria-pressed': String(here),
      },
      String(d.getUTCDate()),
    );
    button.addEventListener('click', () => pick(field, d));
    return html('td', {}, button);
  };
  sheet.replaceChildren(
    html(
      'div',
      { class: 'cal-top' },
      turn('The month before', 'PageUp'),
      html('b', { role: 'status' }, `${MONTHS[month]} ${year}`),
      turn('The month after', 'PageDown'),
    ),
    html(
      'table',
      {},
      html('thead', {}, html('tr', {}, ...DAYS.map((_, k) => html('th', { scope: 'col' }, DAYS[(k + begins()) % 7])))),
      html('tbody', {}, ...weeks(year, month).map((row) => html('tr', {}, ...row.map(cell)))),
    ),
  );
  sheet.onkeydown = (e) => {
    const next = step(date, e.key);
    if (e.key === 'Escape') close(true);
    else if (next) draw(field, sheet, next);
    else return;
    e.preventDefault();
    e.stopPropagation();
    sheet.querySelector('[aria-pressed="true"]')?.focus();
  };
}

function mount(field) {
  if (field.dataset.picks) return;
  field.dataset.picks = '1';
  const label = field.labels?.[0]?.firstChild?.textContent.trim() || 'day';
  const button = html('button', { type: 'button', class: 'cal-open', 'aria-label': `Pick the day: ${label}`, 'aria-haspopup': 'dialog' });
  button.innerHTML =
    '<svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true"><path d="M2 4h16v14H2zM2 8h16M6 2v4M14 2v4" fill="none" stroke="currentColor" stroke-width="1.8"/></svg>';
  const wrap = html('span', { class: 'dayfield' });
  field.before(wrap);
  wrap.append(field, button);
  button.addEventListener('click', (e) => {
    e.preventDefault();
    const was = open?.button === button;
    close();
    if (was) return;
    const sheet = html('div', { class: 'cal', role: 'dialog', 'aria-label': `Pick the day: ${label}` });
    wrap.append(sheet);
    open = { sheet, button };
    const now = new Date();
    draw(field, sheet, read(field.value) ?? at(now.getFullYear(), now.getMonth(), now.getDate()));
    sheet.querySelector('[aria-pressed="true"]')?.focus();
  });
}

export function mountDays(root) {
  for (const field of root.querySelectorAll('[data-day]')) mount(field);
}

document.addEventListener('click', (e) => {
  if (open && !e.target.closest('.dayfield')) close();
});
