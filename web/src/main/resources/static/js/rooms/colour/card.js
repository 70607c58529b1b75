// Picks a paint's two colours from a picture of its card. The picture never leaves the device.
const MOST_BYTES = 30e6;
const WIDEST = 560;
const STEPS = [
  ['the grey, or the white of the card', null],
  ['the paint over white', 'over_white'],
  ['the paint over black', 'over_black'],
];
const linear = (v) => (v <= 10.31475 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4);
const coded = (v) => {
  const x = Math.max(0, Math.min(1, v));
  return Math.round(255 * (x <= 0.0031308 ? x * 12.92 : 1.055 * x ** (1 / 2.4) - 0.055));
};

/** The mean of a small square, so that grain and brush marks do not count. */
function around(context, x, y) {
  const size = 9;
  const { data } = context.getImageData(Math.max(0, x - 4), Math.max(0, y - 4), size, size);
  const sum = [0, 0, 0];
  for (let k = 0; k < data.length; k += 4) for (let c = 0; c < 3; c += 1) sum[c] += linear(data[k + c]);
  return sum.map((s) => s / (data.length / 4));
}

export function mountCard(form) {
  const file = form.querySelector('[data-card]');
  const says = form.querySelector('[data-card-says]');
  const view = form.querySelector('[data-card-view]');
  const context = view.getContext('2d', { willReadFrequently: true });
  let step = 0;
  let grey = null;

  const ask = () => {
    says.textContent = step < STEPS.length ? `Press ${STEPS[step][0]}.` : 'Both colours are picked. Keep the swatch, or press the grey again.';
  };
  const pick = (x, y) => {
    if (step >= STEPS.length) step = 0;
    const seen = around(context, Math.round(x), Math.round(y));
    const [, field] = STEPS[step];
    if (!field) {
      const mean = (seen[0] + seen[1] + seen[2]) / 3;
      if (mean < 0.03) {
        says.textContent = 'That is nearly black: press the grey card, or the white of the card.';
        return;
      }
      // a white is the card's own, 0.80; a grey card throws back 0.18 (common practice)
      const is = mean > 0.4 ? 0.8 : 0.18;
      grey = seen.map((s) => is / s);
    } else {
      form.elements[field].value = `#${seen
        .map((s, c) =>
          coded(s * grey[c])
            .toString(16)
            .padStart(2, '0'),
        )
        .join('')}`;
    }
    step += 1;
    ask();
  };

  file.addEventListener('change', async () => {
    const chosen = file.files[0];
    if (!chosen) return;
    view.hidden = true;
    if (chosen.size > MOST_BYTES) {
      says.textContent = `That picture has ${Math.round(chosen.size / 1e6)} MB; 30 is the most. Take a smaller one.`;
      return;
    }
    try {
      const picture = await createImageBitmap(chosen);
      const scale = Math.min(1, WIDEST / picture.width);
      view.width = Math.max(1, Math.round(picture.width * scale));
      view.height = Math.max(1, Math.round(picture.height * scale));
      context.drawImage(picture, 0, 0, view.width, view.height);
      picture.close();
      view.hidden = false;
      step = 0;
      ask();
    } catch {
      says.textContent = `“${chosen.name}” is no picture this browser can open. Choose a PNG or JPEG.`;
    }
  });
  view.addEventListener('click', (e) => {
    const box = view.getBoundingClientRect();
    pick(((e.clientX - box.left) / box.width) * view.width, ((e.clientY - box.top) / box.height) * view.height);
  });
}
