// Pictures of the character, beside the figure and from the same side; and how it is now, with a divider between them.
import { html } from './html.js';
import { grow } from './page.js';
import { placeOn } from './pointing.js';
import { el } from './svg.js';

const WAYS = {
  alone: 'as it is',
  now: 'and now',
  sides: 'left beside right',
  'now-sides': 'now, left beside right',
};

/** Pictures in the order in which they matter here: pinned to what is pressed, then seen from where the figure is, then the rest. */
export function ranked(pictures, zones, view) {
  const weight = (p) => (p.zones.some((z) => zones.includes(z)) ? 0 : 2) + (p.view === view ? 0 : 1);
  return [...pictures].sort((a, b) => weight(a) - weight(b) || a.id - b.id);
}

/** Ways of looking that have something to show. */
export const waysOf = (now) => Object.keys(WAYS).filter((w) => now.length || !w.startsWith('now'));

/** Both halves of a picture, the right one turned over, so that they can be compared: how wide they are, and where the left one begins. */
export function halves(width, middle) {
  const wide = Math.max(1, Math.min(middle, width - middle));
  return { wide, from: middle - wide };
}

const image = (src, width, height, fit) => el('image', { href: src, width, height, preserveAspectRatio: fit ?? 'none' });

class Beside {
  /**
   * @param place where it stands
   * @param turn turns the figure to a view
   */
  constructor(place, turn) {
    this.place = place;
    this.turn = turn;
    this.zones = [];
    this.view = 'front';
    this.way = 'alone';
    this.middle = 50;
    this.taken = 0;
  }

  get open() {
    return !this.place.hidden;
  }

  async show(zones) {
    this.zones = zones;
    this.back = document.activeElement;
    const answer = await fetch(this.place.dataset.beside).catch(() => null);
    if (!answer?.ok) return false;
    this.data = await answer.json();
    this.best();
    // it begins where the room does, under the clock
    const top = Math.max(0, document.querySelector('#room').getBoundingClientRect().top / grow());
    this.place.style.setProperty('--room-top', `${top}px`);
    this.place.hidden = false;
    this.draw();
    this.place.focus({ preventScroll: true });
    return true;
  }

  hide() {
    this.place.hidden = true;
    if (this.place.contains(document.activeElement) || document.activeElement === document.body) this.back?.focus?.({ preventScroll: true });
  }

  toggle(zones) {
    return this.open ? this.hide() : this.show(zones);
  }

  /** The picture that matters most here is shown. */
  best() {
    this.ranked = ranked(this.data.pictures, this.zones, this.view);
    this.at = this.ranked[0];
  }

  /** The figure was turned: what is seen from there takes over, where there is something. */
  turned(view) {
    this.view = view;
    if (!this.open || this.at?.view === view) return;
    this.best();
    this.at = this.ranked.find((p) => p.view === view) ?? this.at;
    this.draw();
  }

  /** Other zones are pressed. */
  pressed(zones) {
    if (!this.open || String(zones) === String(this.zones)) return;
    this.zones = zones;
    this.best();
    this.draw();
  }

  draw() {
    if (!waysOf(this.data.now).includes(this.way)) this.way = 'alone';
    const close = html('button', { type: 'button', class: 'act quiet', 'aria-label': 'Close the pictures' }, 'Close');
    close.addEventListener('click', () => this.hide());
    const top = html('div', { class: 'beside-top' }, html('h2', {}, this.at ? this.at.says : 'No pictures yet'), close);
    if (!this.at) {
      this.place.replaceChildren(top, html('p', {}, 'What the character shall look like can stand here.'), this.all('Add pictures'));
      return;
    }
    this.stage = html('div', { class: 'beside-stage' });
    this.place.replaceChildren(top, this.stage, this.slider(), this.ways(), this.marks(), this.strip(), this.all('Add, pin, crop, mark'));
    this.picture();
  }

  all(says) {
    return html('p', { class: 'beside-all' }, html('a', { class: 'act', href: `${this.data.all}${this.at ? `?of=${this.at.id}` : ''}` }, says));
  }

  /** What is looked at, drawn anew whenever the divider is moved. */
  picture() {
    const { width, height, src } = this.at;
    const middle = (this.middle / 100) * width;
    const now = this.data.now[this.taken];
    if (this.way === 'sides') this.stage.replaceChildren(this.folded(src, width, height, middle));
    else if (this.way === 'now-sides') this.stage.replaceChildren(this.folded(now.src, width, height, middle, 'xMidYMid slice'));
    else if (this.way === 'now') this.stage.replaceChildren(this.divided(src, now.src, width, height, middle));
    else this.stage.replaceChildren(this.marked());
  }

  marked() {
    const { width, height, src, says, marks } = this.at;
    const svg = el('svg', { viewBox: `0 0 ${width} ${height}`, role: 'img', 'aria-label': says }, image(src, width, height));
    const r = Math.max(width, height) / 46;
    for (const m of marks.filter((x) => x.seen))
      svg.append(
        el(
          'g',
          { class: 'p-marks', transform: `translate(${m.x * width} ${m.y * height}) scale(${r / 10})` },
          el('circle', { r: 10 }),
          el('text', { y: 4.5, 'text-anchor': 'middle' }, String(m.number + 1)),
        ),
      );
    return svg;
  }

  divided(one, other, width, height, middle) {
    const svg = el('svg', { viewBox: `0 0 ${width} ${height}`, role: 'img', 'aria-label': 'The picture left of the divider, now right of it' });
    const right = el('svg', { x: middle, width: Math.max(0, width - middle), height, viewBox: `${middle} 0 ${Math.max(0.1, width - middle)} ${height}` });
    right.append(image(other, width, height, 'xMidYMid slice'));
    svg.append(image(one, width, height), right, el('path', { class: 'beside-line', d: `M${middle} 0V${height}`, 'stroke-width': width / 160 }));
    svg.addEventListener('pointerdown', (e) => svg.setPointerCapture(e.pointerId));
    svg.addEventListener('pointermove', (e) => {
      if (!e.buttons) return;
      this.range.value = String(Math.round((100 * placeOn(svg, e).x) / width));
      this.range.dispatchEvent(new Event('input'));
    });
    return svg;
  }

  folded(src, width, height, middle, fit) {
    const { wide, from } = halves(width, middle);
    const gap = width / 60;
    const half = (x, turned) => {
      const part = el('svg', { x, width: wide, height, viewBox: `${from} 0 ${wide} ${height}` });
      const group = turned ? el('g', { transform: `translate(${2 * middle} 0) scale(-1 1)` }) : el('g');
      group.append(image(src, width, height, fit));
      part.append(group);
      return part;
    };
    return el(
      'svg',
      { viewBox: `0 0 ${2 * wide + gap} ${height}`, role: 'img', 'aria-label': 'The left half, and beside it the right half turned over' },
      half(0, false),
      half(wide + gap, true),
    );
  }

  slider() {
    const says = this.way === 'now' ? 'Where the two meet' : 'Where the middle of the face is';
    this.range = html('input', { type: 'range', min: 0, max: 100, value: this.middle });
    const label = html('label', { class: 'beside-slider' }, says, this.range);
    label.hidden = this.way === 'alone';
    this.range.addEventListener('input', () => {
      const edge = this.way === 'now' ? 2 : 10;
      this.middle = Math.min(100 - edge, Math.max(edge, Number(this.range.value)));
      this.frame ??= requestAnimationFrame(() => {
        this.frame = null;
        this.redraw();
      });
    });
    return label;
  }

  /** Only the picture moves under the hand; whatever holds the pointer stays. */
  redraw() {
    const held = this.stage.querySelector(':scope > svg');
    this.picture();
    const made = this.stage.querySelector(':scope > svg');
    if (this.way !== 'now' || !held) return;
    held.replaceChildren(...made.childNodes);
    made.replaceWith(held);
  }

  ways() {
    const ways = waysOf(this.data.now);
    const group = html(
      'div',
      { class: 'beside-ways', role: 'group', 'aria-label': 'How it is looked at' },
      ...ways.map((w) => {
        const button = html('button', { type: 'button', 'aria-pressed': String(w === this.way) }, WAYS[w]);
        button.addEventListener('click', () => this.choose({ way: w }, WAYS[w]));
        return button;
      }),
    );
    if (this.way.startsWith('now'))
      for (const [k, n] of this.data.now.entries()) {
        const button = html(
          'button',
          { type: 'button', class: 'when', 'aria-pressed': String(k === this.taken), 'aria-label': `the photograph of ${n.says}` },
          n.says,
        );
        button.addEventListener('click', () => this.choose({ taken: k }, n.says));
        group.append(button);
      }
    return group;
  }

  /** Something else is looked at; the button that said so keeps the focus. */
  choose(what, says) {
    Object.assign(this, what);
    this.draw();
    [...this.place.querySelectorAll('button')].find((b) => b.textContent === says)?.focus({ preventScroll: true });
  }

  marks() {
    const said = this.way === 'alone' ? this.at.marks.filter((m) => m.seen) : [];
    return html(
      'ol',
      { class: 'beside-marks' },
      ...said.map((m) => {
        const chip = el('svg', { width: 22, height: 22, 'aria-hidden': 'true' }, el('rect', { width: 22, height: 22, fill: m.colour }));
        const row = html('li', { value: m.number + 1 }, html('b', {}, String(m.number + 1)), html('span', {}, m.note || m.colour));
        row.insertBefore(chip, row.lastChild);
        return row;
      }),
    );
  }

  strip() {
    return html(
      'div',
      { class: 'beside-strip', role: 'group', 'aria-label': 'All pictures' },
      ...this.ranked.map((p) => {
        const svg = el('svg', { width: 62, height: 62, viewBox: `0 0 ${p.width} ${p.height}`, preserveAspectRatio: 'xMidYMid slice', 'aria-hidden': 'true' });
        svg.append(image(p.src, p.width, p.height));
        const button = html('button', { type: 'button', 'aria-pressed': String(p === this.at), 'aria-label': p.says, title: p.says });
        button.append(svg);
        button.addEventListener('click', () => {
          this.at = p;
          this.draw();
          if (p.view && p.view !== this.view) this.turn(p.view);
          this.place.querySelector('.beside-strip [aria-pressed="true"]')?.focus({ preventScroll: true });
        });
        return button;
      }),
    );
  }
}

let beside = null;

/** Makes the place for pictures alive; null where this page has none. */
export function mountBeside(turn, zones) {
  const place = document.querySelector('[data-beside]');
  if (!place) return null;
  beside = new Beside(place, turn);
  document.addEventListener('turned', (e) => beside.turned(e.detail));
  document.addEventListener('click', (e) => {
    if (e.target.closest('[data-pictures]')) beside.toggle(zones());
  });
  place.addEventListener('keydown', (e) => {
    if (e.key !== 'Escape') return;
    e.stopPropagation();
    beside.hide();
  });
  return beside;
}

/** A room was swapped in: what is pressed there may be something else. */
export const besidePressed = (zones) => beside?.pressed(zones);
