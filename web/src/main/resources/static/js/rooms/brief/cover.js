// Pressing a zone of the figure ticks it in the form around it: what the costume covers, or where skin is not as before.
import { figureAt } from '../../parts/figure.js';

export function mountCover(root) {
  for (const place of root.querySelectorAll('[data-figure][data-purpose="cover"]')) {
    const form = place.closest('form');
    const field = form.dataset.press ?? 'covers';
    const word = form.dataset.word ?? 'covered';
    const before = new Map();
    figureAt(place).pressed = ({ zone }) => {
      const box = form.querySelector(`input[name="${field}"][value="${zone}"]`);
      if (!box) return;
      box.checked = !box.checked;
      box.dispatchEvent(new Event('change', { bubbles: true }));
    };
    form.addEventListener('change', (e) => {
      if (e.target.name !== field) return;
      const figure = figureAt(place);
      const shown = figure.model.zones[e.target.value];
      if (e.target.checked) before.set(e.target.value, shown.tint === 'cover' ? ['', ''] : [shown.tint, shown.word]);
      [shown.tint, shown.word] = e.target.checked ? ['cover', word] : (before.get(e.target.value) ?? ['', '']);
      figure.paint();
    });
  }
}
