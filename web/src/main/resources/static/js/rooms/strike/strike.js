// Taking off, live: clocks for what soaks, Space and digits for done, and other people's presses.
import { momentText } from '../../parts/clock.js';
import { go } from '../../parts/live.js';
import { Signals } from '../../parts/signals.js';

const signals = new Signals();
// clocks that have run out on this screen: whoever waited for one may begin
const due = new Set();

const minutes = (ms) => {
  const s = Math.max(0, Math.round(Math.abs(ms) / 1000));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
};

function tick() {
  const now = Date.now();
  const hour = document.querySelector('[data-s="now"]');
  if (hour) hour.textContent = momentText(Date.now());
  for (const left of document.querySelectorAll('[data-until]')) {
    const ms = Number(left.dataset.until) - now;
    left.textContent = ms > 0 ? `${minutes(ms)} left` : `${minutes(ms)} over`;
    left.classList.toggle('over', ms <= 0);
  }
  const clocks = [];
  for (const clock of document.querySelectorAll('[data-loose]')) {
    const from = Number(clock.dataset.from);
    const loose = Number(clock.dataset.loose);
    const looked = clock.dataset.looked === 'true';
    const out = looked || now >= loose;
    clock.classList.toggle('wet', !out);
    clock.classList.toggle('tacky', out);
    clock.querySelector('.w').textContent = looked ? 'has let go' : out ? 'check it now' : 'soaks';
    clock.querySelector('.n').textContent = out ? '' : minutes(loose - now);
    clock.querySelector('.cs-past').setAttribute('width', String(Math.min(1, Math.max(0, (now - from) / Math.max(1, loose - from))) * 250));
    if (out && !looked && !due.has(loose)) {
      due.add(loose);
      if (now - loose < 5000) setTimeout(() => go(location.href), 1200);
    }
    clocks.push({ step: `${from}`, clear: loose, confirmed: looked });
  }
  signals.at({ clocks, hands: [] }, now);
}

export function mountStrike() {
  const base = document.body.dataset.strike;
  document.addEventListener('pointerdown', () => signals.allow());
  document.addEventListener(
    'keydown',
    (e) => {
      if (e.target.closest('input, textarea, dialog[open]') || e.ctrlKey || e.metaKey || e.altKey) return;
      signals.allow();
      const which = e.key === ' ' ? '0' : /^[2-9]$/.test(e.key) ? String(Number(e.key) - 1) : null;
      const button = which && document.querySelector(`[data-space="${which}"]`);
      if (!button) return;
      e.preventDefault();
      e.stopPropagation();
      button.click();
    },
    true,
  );
  const stream = new EventSource(`${base}/stream`);
  stream.addEventListener('now', (e) => {
    if (e.data) go(location.href);
  });
  setInterval(tick, 500);
  tick();
}
