// Keys that work in every room: the underlined letters, ? and the numbers that turn the figure.
import { turnTo } from './figure.js';
import { html } from './html.js';

const typing = (target) => target.closest('input, select, textarea, dialog[open]');

/** What can be pressed here and now and nothing else; a room that has more says it when it is asked. */
function show() {
  const dialog = document.querySelector('#keys');
  if (!dialog || dialog.open) return;
  for (const line of dialog.querySelectorAll('[data-when]')) line.hidden = !document.querySelector(line.dataset.when);
  const letters = [...document.querySelectorAll('.head [data-room]')].map((a) => a.dataset.room.toUpperCase());
  dialog.querySelector('[data-letters]').textContent = letters.join(' ');
  const more = [];
  dialog.dispatchEvent(new CustomEvent('ask', { detail: more }));
  dialog.querySelector('[data-actions]').replaceChildren(...more.map(([key, says]) => html('div', {}, html('dt', {}, key), html('dd', {}, says))));
  dialog.showModal();
}

export function mountKeys() {
  document.addEventListener('click', (e) => {
    if (e.target.closest('[data-keys]')) show();
    if (e.target.closest('[data-print]')) window.print();
  });
  document.addEventListener('keydown', (e) => {
    if (e.ctrlKey || e.metaKey || e.altKey || typing(e.target)) return;
    const key = e.key.toLowerCase();
    if (key === '?') {
      show();
      return;
    }
    if (document.body.dataset.chair) return;
    const pressed = document.querySelector(`[data-key="${CSS.escape(key)}"]`) ?? document.querySelector(`.head [data-room="${CSS.escape(key)}"]`);
    if (pressed && !(key === ' ' && e.target.closest('button, a, summary'))) {
      e.preventDefault();
      pressed.click();
    } else if (key >= '1' && key <= '9') {
      turnTo(Number(key));
    }
  });
}
