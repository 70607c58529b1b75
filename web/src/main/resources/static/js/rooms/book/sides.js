// Marks on a photograph: edges of the head, its middle, then pairs. The server works out what they say.
import { html } from '../../parts/html.js';
import { pointing } from '../../parts/pointing.js';

const ASKS = [
  'Press the outer edge of the head where it is widest, on one side.',
  'And on the other side.',
  'Press the middle of the face, high: between the brows.',
  'And low: the tip of the chin.',
];
const SVG = 'http://www.w3.org/2000/svg';

/** What is asked for when so many marks are set. */
export const ask = (count) =>
  ASKS[count] ??
  (count % 2 ? `The same point on the other side (pair ${(count - 3) / 2}).` : `A point on one side (pair ${(count - 2) / 2}), or look at what is measured.`);

/** Marks, and what is drawn between them: line by line from one mark to another. */
export function lines(count) {
  const drawn = [];
  for (let k = 1; k < count; k += 2) drawn.push([k - 1, k]);
  return drawn;
}

/** The width that was typed, mm; the page says beside the field whether it shows inches. */
function millimetres(field) {
  const number = Number(field.value.replace(',', '.')) || 0;
  return document.querySelector(`[name="${field.name}.unit"]`)?.value.endsWith('!') ? number * 25.4 : number;
}

export function mountSides(room) {
  const picture = room.querySelector('img');
  const svg = room.querySelector('svg');
  const width = room.querySelector('[name=width]');
  let marks = [];
  let cross = null;

  const add = (name, attributes) => {
    const node = document.createElementNS(SVG, name);
    for (const [k, v] of Object.entries(attributes)) node.setAttribute(k, v);
    svg.append(node);
    return node;
  };

  function draw() {
    const w = picture.naturalWidth || 1000;
    const h = picture.naturalHeight || 1000;
    svg.setAttribute('viewBox', `0 0 ${w} ${h}`);
    svg.replaceChildren();
    const r = w / 90;
    for (const [a, b] of lines(marks.length))
      add('line', { x1: marks[a].x, y1: marks[a].y, x2: marks[b].x, y2: marks[b].y, 'stroke-width': r / 4, class: a < 4 ? 'base' : 'pair' });
    marks.forEach((m, k) => {
      add('circle', { cx: m.x, cy: m.y, r, 'stroke-width': r / 4 });
      add('circle', { cx: m.x, cy: m.y, r: r / 6, class: 'dot' });
      if (k > 3) add('text', { x: m.x + 1.3 * r, y: m.y, 'font-size': 2.2 * r }).textContent = String(Math.floor((k - 2) / 2));
    });
    if (cross) {
      add('line', { x1: cross.x - 2 * r, y1: cross.y, x2: cross.x + 2 * r, y2: cross.y, 'stroke-width': r / 4 });
      add('line', { x1: cross.x, y1: cross.y - 2 * r, x2: cross.x, y2: cross.y + 2 * r, 'stroke-width': r / 4 });
    }
    room.querySelector('.sides-ask').textContent = ask(marks.length);
  }

  async function measure() {
    const whole = marks.slice(0, marks.length - (marks.length % 2));
    const body = room.querySelector('[data-lines]');
    const scale = room.querySelector('[data-scale]');
    body.replaceChildren();
    scale.textContent = '';
    if (whole.length < 6) return;
    const error = (1.5 * picture.naturalWidth) / picture.clientWidth;
    const header = document.querySelector('meta[name="csrf-header"]').content;
    const token = document.querySelector('meta[name="csrf-token"]').content;
    try {
      const answer = await fetch(room.dataset.sides, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', [header]: token },
        body: JSON.stringify({ marks: whole, width: millimetres(width), error }),
      });
      const said = await answer.json();
      scale.textContent = answer.ok ? said.scale : said.wrong;
      if (answer.ok)
        body.replaceChildren(
          ...said.lines.map((l, k) =>
            html(
              'tr',
              { class: l.sure ? 'sure' : '' },
              html('th', { scope: 'row' }, String(k + 1)),
              html('td', {}, l.further),
              html('td', {}, l.lower),
              html('td', {}, l.error),
            ),
          ),
        );
    } catch {
      scale.textContent = 'The connection is gone. The marks stay; change one when it is back.';
    }
  }

  function changed(next) {
    marks = next;
    draw();
    measure();
  }

  pointing(svg, {
    at: (place) => {
      cross = null;
      changed([...marks, place]);
    },
    cross: (to) => {
      cross = to;
      draw();
    },
  });
  svg.addEventListener('keydown', (e) => {
    if (e.key !== 'Backspace') return;
    e.preventDefault();
    changed(marks.slice(0, -1));
  });
  room.querySelector('[data-back]').addEventListener('click', () => changed(marks.slice(0, -1)));
  room.querySelector('[data-anew]').addEventListener('click', () => changed([]));
  width.addEventListener('change', measure);
  if (picture.complete) draw();
  else picture.addEventListener('load', draw);
}
