// Works a press out ahead: what a button would bring is planned and written while somebody points at it, so that the press finds it there. It changes nothing.

// so long a pointer rests on what it means to press
const REST = 40;

let last = '';
let busy = false;
let next = null;
let resting = 0;
let over = null;

/** The button that is pointed at, where its press can be worked out ahead. */
const meant = (target) => target.closest?.('[data-ahead] form[data-live] button:not([type="button"], :disabled)');

function ask(button) {
  const form = button.form;
  // a pointer passes others on its way: the button it came to is asked about when those are done
  next = busy ? button : null;
  if (busy || !button.isConnected || form.method !== 'post') return;
  const body = new URLSearchParams(new FormData(form, button));
  const asked = `${form.action} ${body}`;
  if (asked === last) return;
  last = asked;
  busy = true;
  fetch(form.action, { method: 'POST', body, headers: { 'X-Ahead': '1', 'X-Live': '1' } })
    .catch(() => {})
    .finally(() => {
      busy = false;
      if (next) ask(next);
    });
}

/** What was worked out holds for the room as it stands; another that is swapped in asks anew. */
export const forgetAhead = () => (last = '');

export function mountAhead() {
  const rest = (e) => {
    clearTimeout(resting);
    const button = meant(e.target);
    // whoever comes back to a button may find that something has changed that no room was swapped in for
    if (button !== over) last = '';
    over = button;
    if (button) resting = setTimeout(ask, REST, button);
  };
  document.addEventListener('pointerover', rest, { passive: true });
  document.addEventListener('focusin', rest);
  document.addEventListener(
    'pointerdown',
    (e) => {
      const button = meant(e.target);
      if (button) ask(button);
    },
    { passive: true },
  );
}
