// The order: time across, the body down the side. A row is a thread drawn out of the profile, a cut through time: ingots
// stand on it, films sink into it, and what they leave stays as a stratum to the right edge.

import { grow } from '../../parts/page.js';
import { scale } from '../../parts/ribbon.js';
import { dataIn, el, widthOf } from '../../parts/svg.js';
import { widthIn } from '../../parts/width.js';
import { askLater } from './later.js';
import { drawStartBy } from './startby.js';
import { wedge } from './wedge.js';

const MOST_STITCHES = 26;
const STRATUM = 2.6;
const CHOSEN = 'chosen ';

let drawn = null;
const drawAgain = () => drawn?.place.isConnected && drawn.draw();

class Order {
  constructor(place) {
    this.place = place;
    this.model = dataIn(place);
    this.ribbon = JSON.parse(document.querySelector('#ribbon-data').textContent);
    this.why = document.querySelector('[data-why]');
  }

  draw() {
    const width = widthIn(this.place, drawAgain) || 1280;
    this.s = scale(this.ribbon, width);
    const rows = this.model.rows;
    const pitch = Math.max(33, Math.min(41, (window.innerHeight / grow() - 410) / rows.length));
    this.ground = new Map(rows.map((row, k) => [row, 30 + (k + 1) * pitch - 4]));
    const height = 30 + rows.length * pitch + 12;
    const svg = el('svg', {
      width,
      height,
      viewBox: `0 0 ${width} ${height}`,
      tabindex: '0',
      role: 'group',
      'aria-label': 'The order: time across, the body down the side. Arrow keys walk the steps.',
    });
    this.svg = svg;
    const right = width - 16;
    for (const rest of this.ribbon.rests)
      svg.append(el('rect', { class: 'or-pause', x: this.s.x(rest.from), y: 0, width: (rest.to - rest.from) * this.s.perMinute, height: height - 8 }));
    for (let m = -(this.ribbon.clock % 15); m < this.s.end; m += 15)
      if (m > 0) svg.append(el('path', { class: 'or-guide', d: `M${this.s.x(m)} 0V${height - 8}` }));
    rows.forEach((row) => this.row(row, right, width));
    this.strata(right);
    svg.append(
      el('path', { class: 'or-pole', d: `M${this.s.x(this.ribbon.ready)} 0V${height - 8}` }),
      el('path', { class: 'or-pole call', d: `M${this.s.x(this.ribbon.call)} 0V${height - 8}` }),
    );
    const places = this.steps();
    this.stitch(places);
    this.labels();
    // the list and the reasons below say the same in words
    for (const text of svg.querySelectorAll('text')) text.setAttribute('aria-hidden', 'true');
    svg.addEventListener('keydown', (e) => this.key(e));
    this.place.querySelector('.order-art').replaceChildren(svg);
    this.profile();
    const first = this.model.steps.find((x) => x.critical && x.rows.length) ?? this.model.steps[0];
    // what was chosen before a wish stays chosen after it
    const kept = sessionStorage.getItem(CHOSEN + location.pathname);
    this.select(this.chosen ?? (this.model.steps.some((x) => x.id === kept) ? kept : first.id), false);
  }

  row(row, right, width) {
    const y = this.ground.get(row);
    this.svg.append(el('path', { class: 'or-skin', d: `M${this.s.x0} ${y}H${right}` }));
    if (this.s.x0 > 100) {
      const pin = this.model.pins[row];
      const [px, py] = pin ? [-96 + (pin[0] / 2640) * 236, 4 + (pin[1] / 4520) * 404] : [0, 0];
      const inside = !pin;
      const start = inside ? `M${this.s.x0 - 150} ${y}` : `M${px} ${py}C${px + 46} ${py} ${this.s.x0 - 100} ${y} ${this.s.x0 - 62} ${y}`;
      this.svg.append(el('path', { class: 'or-thread', d: `${start}H${this.s.x0}` }));
      if (!inside) this.svg.append(el('circle', { class: 'or-pin', cx: px, cy: py, r: 2.4 }));
      this.svg.append(el('text', { class: 'or-row', x: this.s.x0 - 8, y: y - 6 }, row));
    }
    const count = this.layersOf(row).length;
    this.svg.append(el('text', { class: 'or-count', x: width - 4, y: y - 3 }, count || ''));
  }

  layersOf(row) {
    return this.model.steps.filter((x) => x.kind && x.rows.includes(row));
  }

  /** What each step leaves behind stays on the skin line, one thin line above the other. */
  strata(right) {
    for (const row of this.model.rows) {
      const y = this.ground.get(row);
      this.layersOf(row).forEach((step, k) => {
        if (k > 9) return;
        const level = y - 1.2 - k * STRATUM;
        this.svg.append(el('path', { class: `st-${step.kind}`, 'stroke-width': STRATUM, d: `M${this.s.x(step.to)} ${level}H${right}` }));
      });
    }
  }

  steps() {
    const places = new Map();
    for (const step of this.model.steps) {
      const group = el('g', { class: 'or-step', 'data-step': step.id }, el('title', {}, `${step.clock} ${step.title}`));
      const rows = step.rows.length ? step.rows : this.model.rows;
      for (const row of rows) {
        const ground = this.ground.get(row);
        if (step.settled > step.to + 0.05) group.append(...wedge(step, this.s, ground));
        const [a, b] = [this.s.x(step.from), Math.max(this.s.x(step.from) + 3, this.s.x(step.to) - 1)];
        const lean = Math.min(4, (b - a) / 4);
        group.append(el('path', { class: `or-ingot h${step.hands}`, d: `M${a} ${ground}L${a + lean} ${ground - 16}H${b - lean}L${b} ${ground}Z` }));
        if (!places.has(step.id)) places.set(step.id, { x: a, x2: b, y: ground });
      }
      group.addEventListener('click', () => this.press(step.id));
      this.svg.append(group);
    }
    this.places = places;
    return places;
  }

  /** One name per step, where there is room, above its first row. */
  labels() {
    const taken = new Map();
    for (const step of this.model.steps) {
      const row = step.rows[0];
      if (!row) continue;
      const { x, x2, y } = this.places.get(step.id);
      const wide = widthOf(step.label, 12.5);
      const inside = x2 - x > wide + 8;
      const last = taken.get(row) ?? -1;
      const at = inside ? x + 6 : x;
      if (!inside && at < last + 5) continue;
      this.svg.append(el('text', { class: `or-label${inside ? ' in' : ''}`, x: at, y: inside ? y - 4 : y - 19 }, step.label));
      if (!inside) taken.set(row, at + wide);
    }
  }

  /** The thread that may not slip, stitched through its ingots. */
  stitch(places) {
    const critical = this.model.steps.filter((x) => x.critical && x.rows.length);
    if (critical.length < 2) return;
    const shown = critical.length > MOST_STITCHES ? this.onePerMoment(critical) : critical;
    let d = '';
    let last = null;
    for (const step of shown) {
      const p = places.get(step.id);
      if (last && p.x >= last.x - 1) {
        const bend = Math.min(26, Math.max(8, (p.x - last.x2) / 2));
        d += last.y === p.y ? `H${p.x}` : `C${last.x2 + bend} ${last.y + 2} ${p.x - bend} ${p.y + 2} ${p.x} ${p.y + 2}`;
      } else d += `M${p.x} ${p.y + 2}`;
      d += `H${p.x2}`;
      last = p;
    }
    this.svg.append(el('path', { class: 'or-stitch-under', d }), el('path', { class: 'or-stitch', d }));
  }

  onePerMoment(steps) {
    let until = -1;
    return steps.filter((x) => {
      if (x.from < until - 0.1) return false;
      until = x.to;
      return true;
    });
  }

  async profile() {
    const place = this.place.querySelector('.profile');
    if (this.s.x0 < 100 || place.firstChild) return;
    const answer = await fetch(`${this.place.dataset.src}bust-right.svg`).catch(() => null);
    if (!answer?.ok) return;
    const svg = new DOMParser().parseFromString((await answer.text()).replaceAll('clip-right', 'order-clip'), 'image/svg+xml').documentElement;
    svg.querySelector('.zones').remove();
    svg.setAttribute('viewBox', '0 0 2640 4520');
    place.replaceChildren(svg);
  }

  /** A press chooses a step, or answers which one the chosen step is to stand before or after. */
  press(id) {
    if (this.picking && id !== this.chosen) {
      this.form.elements.to.value = id;
      this.form.requestSubmit(this.picking);
    } else this.select(id, true);
  }

  /** What can be wished of the chosen step. */
  wishes() {
    this.form = document.querySelector('[data-wish]');
    if (!this.form) return;
    const says = this.form.querySelector('[data-picking]');
    const stop = () => {
      this.picking?.remove();
      this.picking = null;
      says.hidden = true;
    };
    for (const button of this.form.querySelectorAll('[data-pick]')) {
      button.addEventListener('click', () => {
        stop();
        this.picking = Object.assign(document.createElement('button'), { type: 'submit', name: 'press', value: button.dataset.pick, hidden: true });
        this.form.append(this.picking);
        says.hidden = false;
        const word = button.dataset.pick === 'BEFORE' ? 'before' : 'after';
        says.textContent = `Now the other one: press the step it is to stand ${word}, or walk to it with the arrow keys and press Enter. Esc leaves it.`;
        this.svg.focus();
      });
    }
    for (const button of this.form.querySelectorAll('[data-hands]')) {
      button.addEventListener('click', () => {
        this.form.elements.to.value = button.dataset.hands;
      });
    }
    this.stopPicking = stop;
  }

  key(event) {
    if (this.picking && event.key === 'Enter' && this.walked) {
      event.preventDefault();
      this.press(this.walked);
      return;
    }
    if (this.picking && event.key === 'Escape') this.stopPicking();
    const way = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!way) return;
    event.preventDefault();
    const from = this.picking ? (this.walked ?? this.chosen) : this.chosen;
    const at = this.model.steps.findIndex((x) => x.id === from);
    const next = this.model.steps[Math.max(0, Math.min(this.model.steps.length - 1, at + way))];
    if (this.picking) this.point(next);
    else this.select(next.id, true);
  }

  /** Shows which other step is pointed at while one is picked. */
  point(step) {
    this.walked = step.id;
    this.svg.querySelectorAll('.aim').forEach((n) => n.classList.remove('aim'));
    this.svg.querySelector(`[data-step="${CSS.escape(step.id)}"]`)?.classList.add('aim');
    this.form.querySelector('[data-picking]').textContent = `${step.number}. ${step.title}: Enter takes it, Esc leaves it.`;
  }

  select(id, draw) {
    this.chosen = id;
    sessionStorage.setItem(CHOSEN + location.pathname, id);
    this.svg.querySelectorAll('.sel').forEach((n) => n.classList.remove('sel'));
    this.svg.querySelector(`[data-step="${CSS.escape(id)}"]`)?.classList.add('sel');
    const step = this.model.steps.find((x) => x.id === id);
    if (!step) return;
    const line = (text, cls) => Object.assign(document.createElement('p'), { textContent: text, className: cls ?? '' });
    const title = Object.assign(document.createElement('h3'), { textContent: `${step.number}. ${step.title}` });
    const parts = [
      title,
      line(
        `${step.whose}, ${step.clock} to ${step.until}${step.dryer ? ', with the cool dryer' : ''}${step.implied ? '. Kemdro put it in because the look needs it' : ''}.`,
        'small',
      ),
      line(step.why),
    ];
    if (step.look) parts.push(line(`Look for: ${step.look}.`));
    if (step.performer) parts.push(line(`Performer: ${step.performer}.`));
    step.cautions.slice(0, 2).forEach((c) => parts.push(line(c, 'small')));
    this.why.replaceChildren(...parts);
    if (this.form) {
      this.form.elements.step.value = step.id;
      this.form.elements.to.value = '';
      // what stands there by itself was not typed by anybody
      this.form.elements.at.defaultValue = step.clock;
      this.form.elements.at.value = step.clock;
      this.form.querySelector('[data-iftime]').hidden = step.implied;
      for (const give of this.form.querySelectorAll('[data-hands]')) give.hidden = step.hands < 0 || give.dataset.hands === step.who;
    }
    if (draw) this.svg.focus({ preventScroll: true });
  }
}

let resizing;
window.addEventListener('resize', () => {
  clearTimeout(resizing);
  resizing = setTimeout(drawAgain, 140);
});

export function mountOrder(root) {
  askLater(root);
  const place = root.querySelector('[data-order]');
  if (place) {
    const order = new Order(place);
    order.wishes();
    order.draw();
    drawn = order;
  }
  root.querySelectorAll('[data-startby]').forEach(drawStartBy);
}
