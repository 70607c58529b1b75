// Techniques by what people call what they make.
import { html } from '../../parts/html.js';

/** Says where it can go, each a zone to press. */
function mountAll(field) {
  const list = field.closest('.l-choice').querySelector('[data-found]');
  let turn = 0;
  field.addEventListener('input', async () => {
    const mine = ++turn;
    const typed = field.value.trim();
    const answer = typed ? await fetch(`${field.dataset.find}?q=${encodeURIComponent(typed)}`).catch(() => null) : null;
    const found = answer?.ok ? await answer.json() : [];
    if (mine !== turn) return;
    const none = typed && !found.length ? [html('li', {}, 'Nothing is called like that. Try another word for it.')] : [];
    list.replaceChildren(
      ...none,
      ...found.map((f) =>
        html(
          'li',
          {},
          html('b', {}, f.name),
          html('small', {}, f.ways ? `${f.because} ${f.ways === 1 ? 'One other way' : `${f.ways} other ways`} of it.` : f.because),
          html(
            'span',
            {},
            ...f.where.map((w) => html('a', { class: 'act', href: `?zones=${w.zone}`, 'data-live': '1' }, w.name)),
            f.more ? html('em', {}, `and ${f.more} more`) : null,
          ),
        ),
      ),
    );
  });
}

export function mountFind(root) {
  for (const field of root.querySelectorAll('[data-find]')) mountAll(field);
}
