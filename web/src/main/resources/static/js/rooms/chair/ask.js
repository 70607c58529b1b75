// One dialog for everything that is asked in the chair.
import { html } from '../../parts/html.js';
import { part } from './page.js';

/** One of several; keys 1 to 9 choose. With a label, words of one's own are taken too. */
export function choose(title, about, rows, label) {
  const dialog = document.querySelector('#ask');
  dialog.querySelector('h2').textContent = title;
  part('about').textContent = about;
  part('askfield').hidden = !label;
  part('asklabel').textContent = label ?? '';
  part('askinput').value = '';
  dialog.querySelector('button[value=ok]').hidden = !label;
  return new Promise((done) => {
    const close = (value) => {
      dialog.close();
      dialog.onkeydown = null;
      done(value);
    };
    // many names of which little is to be said stand side by side
    part('choices').classList.toggle('short', rows.length > 5 && rows.filter(([, , small]) => small).length < 5);
    part('choices').replaceChildren(
      ...rows.map(([words, value, small], k) => {
        const button = html(
          'button',
          { type: 'button' },
          html('u', {}, k < 9 ? String(k + 1) : ''),
          html('b', {}, words),
          small ? html('small', {}, small) : null,
        );
        button.addEventListener('click', () => close(value));
        return button;
      }),
    );
    dialog.onkeydown = (e) => {
      if (e.target.closest('input')) return;
      const row = rows[Number(e.key) - 1];
      if (row) {
        e.preventDefault();
        close(row[1]);
      }
    };
    dialog.oncancel = () => {
      dialog.onkeydown = null;
      done(null);
    };
    dialog.querySelector('form').onsubmit = (e) => {
      e.preventDefault();
      close(e.submitter?.value === 'ok' || !e.submitter ? part('askinput').value.trim() || null : null);
    };
    dialog.showModal();
  });
}

/** Words of one’s own. */
export function prompt(title, label, value) {
  const asked = choose(title, '', [], label);
  part('askinput').value = value;
  part('askinput').focus();
  return asked;
}
