// Keys that work in every room: the underlined letters, ? and the numbers that turn the figure.
import { turnTo } from './figure.js';

const typing = (target) => target.closest('input, select, textarea, dialog[open]');

export function mountKeys() {
  document.addEventListener('click', (e) => {
    if (e.target.closest('[data-keys]')) document.querySelector('#keys').showModal();
    if (e.target.closest('[data-print]')) window.print();
  });
  document.addEventListener('keydown', (e) => {
    if (e.ctrlKey || e.metaKey || e.altKey || typing(e.target)) return;
    const key = e.key.toLowerCase();
    if (key === '?') {
      document.querySelector('#keys')?.showModal();
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
