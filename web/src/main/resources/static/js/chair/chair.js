// The chair: one screen that knows what is wet. The server holds the truth; between its answers the clocks count here.
import { figureAt } from '../figure.js';
import { drawMini } from '../ribbon.js';
import { el } from '../svg.js';

const REFRESH = 5000;
const SOON = 20_000;
const CLOSING = 6 * 60_000;
const PERFORMER_SOON = 10 * 60_000;
const REASONS = ['no time', 'not seen by the camera', 'ran out', 'skin says no', 'not needed'];

const part = (name) => document.querySelector(`[data-c="${name}"]`);
const two = (n) => String(n).padStart(2, '0');
const clockText = (ms) => { const d = new Date(ms); return `${two(d.getHours())}:${two(d.getMinutes())}`; };

function countdown(ms) {
  const s = Math.round(Math.abs(ms) / 1000);
  return `${ms < 0 ? '−' : ''}${Math.floor(s / 60)}:${two(s % 60)}`;
}

function html(tag, attributes = {}, ...children) {
  const node = document.createElement(tag);
  for (const [key, value] of Object.entries(attributes)) {
    if (key === 'class') node.className = value;
    else if (value !== null && value !== undefined && value !== false) node.setAttribute(key, value);
  }
  node.append(...children.filter((c) => c !== null && c !== undefined && c !== false));
  return node;
}

class Chair {
  constructor() {
    this.base = document.body.dataset.chair;
    this.book = document.body.dataset.book;
    this.take(JSON.parse(document.querySelector('#chair-data').textContent));
    this.mine = sessionStorage.getItem('hands') ?? this.view.hands[0].name;
    if (!this.view.hands.some((h) => h.name === this.mine)) this.mine = this.view.hands[0].name;
    this.busy = false;
  }

  take(view) {
    this.view = view;
    this.offset = view.now - Date.now();
  }

  now() {
    return Date.now() + this.offset;
  }

  hands(name = this.mine) {
    return this.view.hands.find((h) => h.name === name);
  }

  start() {
    document.addEventListener('keydown', (e) => this.key(e));
    part('retry').addEventListener('click', () => this.refresh());
    this.draw();
    setInterval(() => this.tick(), 500);
    setInterval(() => this.refresh(), REFRESH);
    navigator.wakeLock?.request('screen').catch(() => {});
  }

  // ------------------------------------------------------------------ talking to the server

  async send(report) {
    if (this.busy) return;
    this.busy = true;
    const body = JSON.stringify({ id: crypto.randomUUID(), hands: this.mine, ...report });
    try {
      const answer = await this.post(body).catch(() => this.post(body));
      const said = await answer.json();
      if (answer.ok) {
        this.take(said.view);
        this.say(said.said);
      } else this.say(said.wrong ?? 'That was refused.');
      this.lost(false);
    } catch {
      this.lost(true);
      this.say('Not stored: the server does not answer. Press again when it is back.');
    } finally {
      this.busy = false;
      this.draw();
    }
  }

  post(body) {
    const header = document.querySelector('meta[name="csrf-header"]').content;
    const token = document.querySelector('meta[name="csrf-token"]').content;
    return fetch(`${this.base}/events`, { method: 'POST', body, headers: { 'Content-Type': 'application/json', [header]: token } });
  }

  async refresh() {
    if (this.busy) return;
    try {
      const answer = await fetch(`${this.base}/state`);
      if (!answer.ok) throw new Error(String(answer.status));
      this.take((await answer.json()).view);
      this.lost(false);
      this.draw();
    } catch {
      this.lost(true);
    }
  }

  lost(is) {
    part('lost').hidden = !is;
  }

  say(text) {
    if (!text) return;
    part('said').textContent = text;
    clearTimeout(this.silence);
    this.silence = setTimeout(() => { part('said').textContent = ''; }, 9000);
  }

  // ------------------------------------------------------------------ presses

  main() {
    const v = this.view;
    const h = this.hands();
    if (v.ended) return { says: 'to the book', act: () => location.assign(this.book) };
    if (v.onBreak) return { says: 'back to work', act: () => this.send({ type: 'BACK' }) };
    if (h.running) return { says: 'done', act: () => this.send({ type: 'FINISH', step: h.running.step }) };
    if (v.allDone) return { says: 'end the run', act: () => this.send({ type: 'END' }) };
    if (h.restDue) return { says: 'begin the break', act: () => this.send({ type: 'BREAK' }) };
    if (h.upcoming) return { says: 'begin', act: () => this.send({ type: 'START', step: h.upcoming.step }) };
    return { says: 'nothing now', act: null };
  }

  /** The film a look is due at first: the one these keys answer for. */
  film() {
    return this.view.clocks.find((c) => !c.confirmed && c.state !== 'dry') ?? this.view.clocks.find((c) => !c.confirmed);
  }

  actions() {
    const h = this.hands();
    const step = h.running ?? h.upcoming;
    const film = this.film();
    const over = this.view.ended;
    return [
      { key: 'c', label: 'clear', off: over || !film, act: () => this.send({ type: 'CLEAR', step: film.step }) },
      { key: 'n', label: 'not yet', off: over || !film, act: () => this.send({ type: 'NOT_YET', step: film.step }) },
      { key: 'u', label: 'take back', off: over || !h.canTakeBack, act: () => this.send({ type: 'UNDO' }) },
      { key: 'a', label: 'add 2 min', off: over || !h.running, act: () => this.send({ type: 'ADD', step: h.running.step, seconds: 120 }) },
      { key: 'x', label: 'leave out', off: over || !step, act: () => this.ask('Leave out', step.title, REASONS, (text) => this.send({ type: 'SKIP', step: step.step, text })) },
      { key: 'b', label: 'break', off: over || this.view.onBreak || this.view.hands.some((x) => x.running), act: () => this.send({ type: 'BREAK' }) },
      { key: 'm', label: 'note', off: over, act: () => this.ask('Note for the book', 'What should be known next time', [], (text) => this.send({ type: 'NOTE', text })) },
    ];
  }

  key(e) {
    if (e.ctrlKey || e.metaKey || e.altKey || document.querySelector('dialog[open]') || e.target.closest('input')) return;
    const key = e.key.toLowerCase();
    if (key === ' ' || key === 'enter') {
      if (key === 'enter' && e.target.closest('button, a')) return;
      e.preventDefault();
      if (!e.repeat) this.main().act?.();
    } else if (key === 'tab' && this.view.hands.length > 1 && !e.shiftKey && document.activeElement === document.body) {
      e.preventDefault();
      const names = this.view.hands.map((h) => h.name);
      this.drive(names[(names.indexOf(this.mine) + 1) % names.length]);
    } else {
      const action = this.actions().find((a) => a.key === key);
      if (action && !action.off && !e.repeat) {
        e.preventDefault();
        action.act();
      }
    }
  }

  drive(name) {
    this.mine = name;
    sessionStorage.setItem('hands', name);
    this.draw();
  }

  ask(title, label, choices, then) {
    const dialog = document.querySelector('#ask');
    dialog.querySelector('h2').textContent = title;
    part('asklabel').textContent = label;
    const input = part('askinput');
    input.value = '';
    part('reasons').replaceChildren(...choices.map((c) => {
      const button = html('button', { type: 'button' }, c);
      button.addEventListener('click', () => { dialog.close('ok'); then(c); });
      return button;
    }));
    dialog.onclose = null;
    const form = dialog.querySelector('form');
    form.onsubmit = (e) => {
      e.preventDefault();
      const keep = e.submitter?.value === 'ok';
      dialog.close();
      if (keep && input.value.trim()) then(input.value.trim());
    };
    dialog.showModal();
  }

  // ------------------------------------------------------------------ drawing

  draw() {
    const v = this.view;
    part('ready').textContent = v.readyText;
    part('call').textContent = v.callText;
    part('inhand').textContent = v.inHandText;
    part('inhand').parentElement.classList.toggle('late', v.inHand < 0);
    part('ready').parentElement.classList.toggle('late', v.inHand < 0);
    part('progress').textContent = `${v.done} of ${v.steps} steps`;
    part('hands').replaceChildren(...this.inOrder().map((h) => this.handsBlock(h)));
    part('clocks').replaceChildren(...this.clockBlocks());
    this.keysBar();
    this.paintFigure();
    this.tick();
  }

  inOrder() {
    const near = (h) => h.name || h.running || (h.upcoming && h.upcoming.from - this.now() < PERFORMER_SOON);
    return this.view.hands.filter(near).sort((a, b) => Number(b.name === this.mine) - Number(a.name === this.mine));
  }

  handsBlock(h) {
    const mine = h.name === this.mine;
    const step = h.running ?? h.upcoming;
    const says = this.view.onBreak ? 'break' : h.running ? 'now' : step ? (step.from - this.now() > SOON ? `waits until ${clockText(step.from)}` : 'ready to begin') : 'has nothing left';
    const who = html('button', { type: 'button', class: 'c-who', 'aria-pressed': String(mine), 'aria-label': `${h.label}, ${says}${mine ? '' : '. Press to drive these hands'}` },
      html('b', {}, h.label), html('span', {}, says), step?.performer && h.running ? html('em', {}, `${step.performer}`) : null, !mine ? html('i', {}, 'drive') : null);
    who.addEventListener('click', () => this.drive(h.name));
    const block = html('div', { class: `c-hand${mine ? ' mine' : ''}${h.running ? '' : ' waiting'}` }, who);
    if (this.view.onBreak) {
      block.append(html('p', { class: 'step' }, mine ? `Break, until ${clockText(this.view.breakUntil)}` : '—'));
    } else if (step) {
      block.append(html('h2', { class: 'step' }, step.title, ' ', html('small', {}, step.where)));
      if (h.waitsFor && !h.running) block.append(html('p', { class: 'c-test' }, 'Waits for ', html('b', {}, h.waitsFor)));
      if (step.look && !this.waitsLong(h)) block.append(html('p', { class: 'c-test' }, 'Look for ', html('b', {}, step.look)));
      if (mine) step.cautions.slice(0, 1).forEach((c) => block.append(html('p', { class: 'c-caution' }, c)));
      const count = this.countFor(h, step);
      if (count) block.append(html('div', { class: `c-left ${count.kind}`, 'data-until': count.until, 'data-kind': count.kind }, html('b', {}), html('span', {})));
    } else {
      block.append(html('p', { class: 'step' }, this.view.allDone ? 'All is done' : 'Rest, or help'));
    }
    if (h.next && !this.view.onBreak) block.append(html('p', { class: 'c-next' }, 'next ', html('b', {}, h.next.title), `, ${h.next.hour}`));
    return block;
  }

  waitsLong(h) {
    return !h.running && h.upcoming && h.upcoming.from - this.now() > SOON;
  }

  /** The one number worth counting for these hands: time left, time to wait, or the closing of a window. */
  countFor(h, step) {
    if (h.running) return { kind: 'work', until: step.until };
    if (step.closes && step.closes - this.now() < CLOSING) return { kind: 'closing', until: step.closes };
    if (this.waitsLong(h)) return { kind: 'wait', until: step.from };
    return null;
  }

  clockBlocks() {
    const open = this.view.clocks.filter((c) => !(c.confirmed || c.state === 'dry'));
    const look = this.view.clocks.filter((c) => !c.confirmed && c.state === 'dry').slice(0, 2);
    const dry = this.view.clocks.filter((c) => c.confirmed || (c.state === 'dry' && !look.includes(c)));
    const blocks = [...look, ...open].slice(0, 5).map((c, k) => this.clockBlock(c, k === 0));
    if (dry.length) {
      const where = dry.slice(0, 3).map((c) => c.where).join('; ');
      blocks.push(html('div', { class: 'c-clock dry' }, html('p', { class: 'z' }, where + (dry.length > 3 ? ` and ${dry.length - 3} more` : '')), html('p', { class: 'w' }, 'dry'), html('p', { class: 'l' }, 'free to touch')));
    }
    if (this.view.rest && !this.view.onBreak) {
      blocks.push(html('div', { class: 'c-clock dry' }, html('p', { class: 'z' }, 'break'), html('p', { class: 'w' }, this.view.rest.hour), html('p', { class: 'l' }, 'ten minutes: drink, stretch')));
    }
    return blocks.length ? blocks : [html('p', { class: 'c-empty' }, 'Nothing is drying.')];
  }

  clockBlock(c, asks) {
    const block = html('div', { class: `c-clock ${c.state}`, 'data-step': c.step },
      html('p', { class: 'z' }, `${c.where}`), html('p', { class: 'w' }), html('p', { class: 'n' }));
    block.append(this.threadOf(c));
    block.append(html('p', { class: 'l' }, `${c.material}: `, html('b', {}, c.look || 'dry to the touch')));
    if (asks && !this.view.ended) {
      const ask = html('div', { class: 'ask' });
      for (const [key, label, type] of [['C', 'clear', 'CLEAR'], ['N', 'not yet', 'NOT_YET']]) {
        const button = html('button', { type: 'button' }, html('u', {}, key), label);
        button.addEventListener('click', () => this.send({ type, step: c.step }));
        ask.append(button);
      }
      block.append(ask);
    }
    return block;
  }

  /** A thread of the states this film really has, with a needle at now. */
  threadOf(c) {
    const width = Math.max(180, part('clocks').clientWidth - 6);
    const end = c.closes ?? c.clear;
    const span = Math.max(1, (end - c.laid) * 1.25);
    const x = (at) => Math.max(0, Math.min(width, ((at - c.laid) / span) * width));
    const svg = el('svg', { width, height: 22, viewBox: `0 0 ${width} 22`, 'aria-hidden': 'true' });
    const piece = (cls, a, b) => svg.append(el('rect', { class: cls, x: x(a), y: 8, width: Math.max(0, x(b) - x(a) - 1), height: 13 }));
    const tacky = c.tacky ?? c.clear;
    piece('cs-wet', c.laid, tacky);
    if (c.tacky) {
      const closing = c.closes ? Math.max(tacky, c.closes - 120000) : c.clear;
      piece('cs-tacky', tacky, closing);
      if (c.closes) piece('cs-closing', closing, c.closes);
    }
    piece('cs-dry', end, c.laid + span);
    svg.append(el('g', { 'data-needle': '1' }, el('rect', { class: 'cs-past', x: 0, y: 8, width: 0, height: 13 }), el('path', { class: 'cs-needle', d: 'M0 2V22' }), el('path', { class: 'cs-head', d: 'M-7 0h14l-7 8z' })));
    svg.place = x;
    return svg;
  }

  keysBar() {
    const main = this.main();
    const go = html('button', { type: 'button', class: 'done' }, html('u', {}, 'Space'), main.says);
    go.disabled = !main.act;
    go.addEventListener('click', () => main.act?.());
    const others = this.actions().map((a) => {
      const button = html('button', { type: 'button' }, html('u', {}, a.key.toUpperCase()), a.label);
      button.disabled = a.off;
      button.addEventListener('click', a.act);
      return button;
    });
    const leave = html('a', { href: this.view.ended ? this.book : this.base.replace(/chair$/, 'order'), 'aria-label': 'Leave this screen; the run goes on' }, 'leave');
    const focused = document.activeElement?.closest('[data-c="keys"]') ? [...part('keys').children].indexOf(document.activeElement) : -1;
    part('keys').replaceChildren(go, ...others, leave);
    if (focused >= 0) part('keys').children[focused]?.focus();
  }

  async paintFigure() {
    const figure = figureAt(document.querySelector('.c-figure'));
    if (!figure) return;
    await figure.ready;
    for (const [id, shown] of Object.entries(figure.model.zones)) {
      const state = this.view.zones[id] ?? '';
      shown.tint = state;
      shown.word = state;
    }
    if (figure.svg) figure.paint();
  }

  /** What moves between answers: the hour, the countdowns, the needles. */
  tick() {
    const now = this.now();
    part('now').textContent = clockText(now);
    for (const left of document.querySelectorAll('.c-left')) {
      const rest = Number(left.dataset.until) - now;
      left.querySelector('b').textContent = countdown(rest);
      const kind = left.dataset.kind;
      left.classList.toggle('over', rest < 0);
      left.querySelector('span').textContent = kind === 'wait' ? 'then look, and begin' : kind === 'closing'
        ? rest < 0 ? 'the window has closed: lay it again, or test and go on' : 'before it closes; later it is laid again'
        : rest < 0 ? 'over its time; A adds two minutes' : `planned until ${clockText(Number(left.dataset.until))}`;
    }
    for (const c of this.view.clocks) this.tickClock(c, now);
    const minute = (now - (this.view.ready - this.view.ribbon.ready * 60000)) / 60000;
    if (Math.abs((this.drawnAt ?? -9) - minute) > 0.2 || this.drawnView !== this.view) {
      drawMini(part('tape'), this.view.ribbon, { names: true, now: minute, height: 72 });
      this.drawnAt = minute;
      this.drawnView = this.view;
    }
  }

  tickClock(c, now) {
    const block = part('clocks').querySelector(`[data-step="${CSS.escape(c.step)}"]`);
    if (!block) return;
    let [state, until, says] = ['wet', c.tacky ?? c.clear, 'wet'];
    if (c.tacky && now >= c.tacky) [state, until, says] = ['tacky', c.closes ?? c.clear, 'tacky'];
    if (c.closes && now >= c.closes - 120000) [state, until, says] = ['closing', c.closes, 'closing'];
    if (now >= (c.closes ?? c.clear)) [state, until, says] = ['dry', null, 'look now'];
    block.className = `c-clock ${state}`;
    block.querySelector('.w').textContent = says;
    block.querySelector('.n').textContent = until ? countdown(until - now) : '';
    const needle = block.querySelector('[data-needle]');
    const x = block.querySelector('svg').place(now);
    needle.querySelector('.cs-past').setAttribute('width', x);
    needle.querySelectorAll('path').forEach((p) => p.setAttribute('transform', `translate(${x} 0)`));
  }
}

export function mountChair() {
  new Chair().start();
}
