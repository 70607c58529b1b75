// The brief: pressing a zone of the figure says that the costume covers it.
import { figureAt } from './figure.js';

export function mountCover(root) {
  for (const place of root.querySelectorAll('[data-figure][data-purpose="cover"]')) {
    const form = place.closest('form');
    place.addEventListener('zone', (e) => {
      const box = form.querySelector(`input[name="covers"][value="${e.detail.zone}"]`);
      box.checked = !box.checked;
      box.dispatchEvent(new Event('change', { bubbles: true }));
    });
    form.addEventListener('change', (e) => {
      if (e.target.name !== 'covers') return;
      const figure = figureAt(place);
      const shown = figure.model.zones[e.target.value];
      shown.tint = e.target.checked ? 'cover' : '';
      shown.word = e.target.checked ? 'covered' : '';
      figure.paint();
    });
  }
}
