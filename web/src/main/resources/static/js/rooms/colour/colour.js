// The face as it gets painted: the slider walks from chair-in to ready, and each zone has the colour of its last layer.
import { momentText } from '../../parts/clock.js';
import { figureAt } from '../../parts/figure.js';

/** What words say in numbers, for whoever asks; it stays so on this device. */
function numbers(room) {
  const button = room.querySelector('[data-numbers]');
  const show = (are) => {
    room.classList.toggle('with-numbers', are);
    button?.setAttribute('aria-pressed', String(are));
  };
  show(localStorage.getItem('colour numbers') === 'shown');
  button?.addEventListener('click', () => {
    const are = !room.classList.contains('with-numbers');
    localStorage.setItem('colour numbers', are ? 'shown' : 'away');
    show(are);
  });
}

export function mountColour(root) {
  const room = root.querySelector('.colourroom');
  if (!room || room.dataset.mounted) return;
  room.dataset.mounted = '1';
  numbers(room);
  for (const pick of room.querySelectorAll('[data-colour]')) {
    const field = pick.form.elements[pick.dataset.colour];
    pick.addEventListener('input', () => {
      field.value = pick.value;
    });
    // asked with nothing typed, the colour that is shown is the one that is meant
    pick.form.addEventListener(
      'submit',
      () => {
        if (!field.value.trim()) field.value = pick.value;
      },
      true,
    );
  }
  const slide = room.querySelector('[data-face]');
  if (!slide) return;
  const turns = JSON.parse(room.querySelector('[data-turns]').textContent);
  const says = room.querySelector('[data-face-says]');
  const begins = Number(slide.dataset.begins);
  slide.addEventListener('input', () => {
    const figure = figureAt(room.querySelector('[data-figure]'));
    if (!figure?.svg) return;
    const now = Number(slide.value);
    const model = structuredClone(figure.model);
    let last = null;
    for (const [zone, own] of Object.entries(turns)) {
      const turn = own.filter((t) => t.minute <= now).pop();
      if (model.zones[zone]) model.zones[zone].tint = turn.hex;
      if (turn.layer && (!last || turn.minute > last.minute)) last = turn;
    }
    figure.paint(model);
    says.textContent = `${momentText(begins + now * 60000)}${last ? `, last on: ${last.layer}` : ', bare skin'}`;
  });
}
