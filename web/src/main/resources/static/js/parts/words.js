// A word that is pressed says what it means, where it stands.
import { html } from './html.js';

/** What a word means, from the list that every room carries. */
function meaning(word) {
  const dt = [...document.querySelectorAll('#keys .words dt')].find((d) => d.textContent.replaceAll(' ', '-') === word);
  return dt?.nextElementSibling.textContent;
}

function close(and) {
  document.querySelector('.word-says')?.remove();
  const open = document.querySelector('.word[aria-expanded="true"]');
  open?.setAttribute('aria-expanded', 'false');
  if (and === 'focus') open?.focus();
}

export function mountWords() {
  document.addEventListener('click', (e) => {
    const word = e.target.closest('[data-means]');
    const was = word?.getAttribute('aria-expanded') === 'true';
    close();
    const says = word && !was && meaning(word.dataset.means);
    if (!says) return;
    word.setAttribute('aria-expanded', 'true');
    word.after(html('span', { class: 'word-says', role: 'status' }, says));
  });
  document.addEventListener('keydown', (e) => {
    if (e.key === 'Escape') close('focus');
  });
}
