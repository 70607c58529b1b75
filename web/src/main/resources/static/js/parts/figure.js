// Draws the performer, everywhere. Zones are buttons: pressed by pointer or key, walked with the arrow keys.
import { dataIn, el } from './svg.js';
import { ONLY_IN, VIEWS } from './views.js';

const CLOSE = ['press', 'wet', 'painted'];
const art = new Map();
let copies = 0;

async function load(source, file) {
  if (!art.has(file)) {
    art.set(
      file,
      fetch(`${source}${file}.svg`).then((r) => (r.ok ? r.text() : Promise.reject(new Error(file)))),
    );
  }
  return art.get(file);
}

/** A fresh copy of a view; ids are made unique so that one page may show it often. */
async function copyOf(source, key, purpose) {
  const view = VIEWS[key];
  const text = await load(source, view.file);
  const mark = `f${++copies}-`;
  const unique = text.replace(/id="clip-/g, `id="${mark}clip-`).replace(/url\(#clip-/g, `url(#${mark}clip-`);
  const svg = new DOMParser().parseFromString(unique, 'image/svg+xml').documentElement;
  svg.querySelectorAll('title').forEach((t) => t.remove());
  svg.setAttribute('viewBox', view[purpose] ?? (CLOSE.includes(purpose) ? view.close : null) ?? view.box);
  if (key === 'hands') return bothHands(svg);
  svg.querySelectorAll('[data-zone]').forEach((z) => rename(z, view.zones?.[z.dataset.zone]));
  return svg;
}

/** A view may know a zone by another name; one that is not this view's to press is only drawn. */
function rename(zone, name) {
  if (name) zone.setAttribute('data-zone', name);
  else if (name === null) zone.remove();
}

/** The drawing is a left hand; the right one is its mirror. */
function bothHands(svg) {
  const left = el('g', { transform: 'translate(160 0)' });
  while (svg.firstChild) left.append(svg.firstChild);
  const right = left.cloneNode(true);
  right.setAttribute('transform', 'translate(-60 0) scale(-1 1)');
  for (const [side, group] of [
    ['left', left],
    ['right', right],
  ]) {
    group.querySelectorAll('[data-zone]').forEach((z) => z.setAttribute('data-zone', `${VIEWS.hands.zones[z.dataset.zone] ?? 'hand'}-${side}`));
  }
  svg.append(left, right);
  return svg;
}

class Figure {
  constructor(place) {
    this.place = place;
    this.source = place.dataset.src;
    this.purpose = place.dataset.purpose;
    this.model = dataIn(place) ?? { zones: {} };
    this.view = sessionStorage.getItem(`view-${this.purpose}`) ?? place.dataset.view;
    const hidden = Object.entries(this.model.zones).find(([id, z]) => z.selected && ONLY_IN[id]);
    if (hidden) this.view = ONLY_IN[hidden[0]];
    if (!VIEWS[this.view] || this.purpose === 'still' || this.purpose === 'ghost') this.view = place.dataset.view;
  }

  async show(view = this.view) {
    this.view = view;
    const svg = await copyOf(this.source, view, this.purpose);
    this.svg = svg;
    this.place.querySelector('.figure-art').replaceChildren(svg);
    const still = this.purpose === 'still' || this.purpose === 'ghost';
    if (still) svg.setAttribute('aria-hidden', 'true');
    else {
      sessionStorage.setItem(`view-${this.purpose}`, view);
      this.viewButtons();
      this.place.dispatchEvent(new CustomEvent('turned', { bubbles: true, detail: view }));
    }
    if (this.purpose === 'press' || this.purpose === 'cover') this.makePressable();
    this.paint();
  }

  viewButtons() {
    const bar = this.place.querySelector('.views');
    if (!bar) return;
    bar.replaceChildren(
      ...Object.entries(VIEWS).map(([key, view]) => {
        const button = document.createElement('button');
        button.type = 'button';
        button.textContent = view.name;
        if (view.says) button.setAttribute('aria-label', view.says);
        button.setAttribute('aria-pressed', String(key === this.view));
        button.addEventListener('click', () => this.show(key));
        return button;
      }),
    );
  }

  zones() {
    return [...this.svg.querySelectorAll('.zone')];
  }

  /** Paints model onto zones: tint, word, ring. Only one zone takes part in the tab order. */
  paint(model = this.model) {
    this.model = model;
    this.svg.querySelectorAll('.halo,.ring,.focus,.zoneword').forEach((n) => n.remove());
    const words = this.purpose === 'wet' || this.place.dataset.words;
    const said = [];
    for (const zone of words ? this.largestFirst() : this.zones()) {
      const id = zone.dataset.zone;
      const shown = this.model.zones[id];
      if (!shown) continue;
      if (this.purpose === 'painted') {
        zone.classList.add('painted');
        zone.setAttribute('fill', shown.tint);
      } else if (shown.tint) zone.setAttribute('data-tint', shown.tint);
      else zone.removeAttribute('data-tint');
      if (this.purpose === 'press' || this.purpose === 'cover') {
        zone.setAttribute('aria-label', shown.word ? `${shown.name}, ${shown.word}` : shown.name);
        zone.setAttribute('aria-pressed', String(this.purpose === 'cover' ? shown.tint === 'cover' : shown.selected));
      }
      if (shown.selected && this.purpose === 'press') this.ring(zone);
      if (words && shown.word && zone.getBBox().width > 320) this.word(zone, shown.word, said);
    }
  }

  ring(zone) {
    const d = zone.getAttribute('d');
    const transform = zone.closest('g[transform]')?.getAttribute('transform');
    this.svg.append(el('path', { class: 'halo', d, transform }), el('path', { class: 'ring', d, transform }));
  }

  /** Large zones get their word first; one that would cover another is left out. */
  largestFirst() {
    const size = (z) => z.getBBox().width * z.getBBox().height;
    return this.zones().sort((a, b) => size(b) - size(a));
  }

  word(zone, text, said) {
    const { x, y } = this.middleOf(zone);
    const half = text.length * 32;
    if (said.some((s) => Math.abs(s.x - x) < half + s.half && Math.abs(s.y - y) < 125)) return;
    said.push({ x, y, half });
    this.svg.append(el('text', { class: `zoneword ${text}`, x, y: y + 40 }, text));
  }

  /** The point inside a zone nearest to its middle; a zone like the hairline has its middle outside itself. */
  middleOf(zone) {
    const box = zone.getBBox();
    const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2];
    let best = { x: cx, y: cy };
    let least = Infinity;
    for (let i = 1; i < 12; i++) {
      for (let j = 1; j < 12; j++) {
        const point = new DOMPoint(box.x + (box.width * i) / 12, box.y + (box.height * j) / 12);
        const away = Math.hypot(point.x - cx, point.y - cy);
        if (away < least && zone.isPointInFill(point)) {
          least = away;
          best = point;
        }
      }
    }
    return best;
  }

  makePressable() {
    this.svg.classList.add('pressable');
    this.svg.setAttribute('role', 'group');
    const zones = this.zones();
    const first = zones.find((z) => this.model.zones[z.dataset.zone]?.selected) ?? zones[0];
    for (const zone of zones) {
      zone.setAttribute('role', 'button');
      zone.setAttribute('tabindex', zone === first ? '0' : '-1');
      zone.addEventListener('click', (e) => this.press(zone, e.shiftKey || e.ctrlKey || e.metaKey));
      zone.addEventListener('keydown', (e) => this.key(zone, e));
      zone.addEventListener('focus', () => this.focused(zone));
      zone.addEventListener('blur', () => this.svg.querySelectorAll('.focus').forEach((n) => n.remove()));
    }
  }

  focused(zone) {
    this.svg.querySelectorAll('.focus').forEach((n) => n.remove());
    if (zone.matches(':focus-visible')) {
      const transform = zone.closest('g[transform]')?.getAttribute('transform');
      this.svg.append(el('path', { class: 'focus', d: zone.getAttribute('d'), transform }));
    }
  }

  /** What a press on a zone does is said by the room: in pressed. */
  press(zone, keep) {
    this.pressed?.({ zone: zone.dataset.zone, keep });
  }

  key(zone, event) {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      this.press(zone, event.shiftKey);
      return;
    }
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!way) return;
    event.preventDefault();
    const next = this.neighbour(zone, way);
    if (next) {
      zone.setAttribute('tabindex', '-1');
      next.setAttribute('tabindex', '0');
      next.focus();
    }
  }

  /** The nearest zone in that direction. */
  neighbour(zone, [dx, dy]) {
    const centre = (z) => {
      const b = z.getBoundingClientRect();
      return [b.left + b.width / 2, b.top + b.height / 2];
    };
    const [x, y] = centre(zone);
    let best = null;
    let least = Infinity;
    for (const other of this.zones()) {
      const [ox, oy] = centre(other);
      const along = (ox - x) * dx + (oy - y) * dy;
      const aside = Math.abs((ox - x) * dy + (oy - y) * dx);
      const cost = along + 2.4 * aside;
      if (other !== zone && along > 4 && cost < least) {
        least = cost;
        best = other;
      }
    }
    return best;
  }
}

const mounted = new WeakMap();

/** Draws every figure below a place that is not drawn yet. */
export function mountFigures(root) {
  for (const place of root.querySelectorAll('[data-figure]')) {
    if (!mounted.has(place)) {
      const figure = new Figure(place);
      mounted.set(place, figure);
      figure.ready = figure.show().catch(() => place.classList.add('no-art'));
    }
  }
}

/** Moves a drawing to the place that takes over from its old one, so that it need not be drawn again. */
export function moveFigure(from, to) {
  const figure = mounted.get(from);
  figure.place = to;
  mounted.set(to, figure);
  to.querySelector('.figure-art').replaceWith(from.querySelector('.figure-art'));
  figure.viewButtons();
  figure.paint(dataIn(to));
}

/** The figure drawn at a place. */
export const figureAt = (place) => mounted.get(place);

/** Shows a view on the figure of the page that can be turned. */
export function turnToView(key) {
  const place = document.querySelector('[data-figure] .views')?.closest('[data-figure]');
  if (place && VIEWS[key]) mounted.get(place)?.show(key);
}

/** Shows view number n; 1 is front. */
export const turnTo = (n) => turnToView(Object.keys(VIEWS)[n - 1]);
