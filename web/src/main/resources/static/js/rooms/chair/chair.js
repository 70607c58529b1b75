// The chair: one screen that knows what is wet. The server holds the truth; between its answers the clocks count here.
import { Door } from './door.js';
import { momentText } from '../../parts/clock.js';
import { mountBeside } from '../../parts/beside.js';
import { figureAt, turnToView } from '../../parts/figure.js';
import { html } from '../../parts/html.js';
import { drawMini } from '../../parts/ribbon.js';
import { Signals } from '../../parts/signals.js';
import { Actions } from './actions.js';
import { clockBlocks, tickClock } from './films.js';
import { handsBlock, tickHands } from './hands.js';
import { Line } from './line.js';
import { Treads } from './treads.js';
import { notice } from './notices.js';
import { part } from './page.js';
import { State, stateOf } from './state.js';

const REFRESH = 20_000;
const LEVERS_STAND = 120_000;
const LEVERS_AFTER = 900;

/** What this device is called, for as long as its window is open. */
function deviceName() {
  const name = sessionStorage.getItem('device') ?? `screen-${crypto.randomUUID().slice(0, 8)}`;
  sessionStorage.setItem('device', name);
  return name;
}

/** On a screen that is no higher, three ways to save minutes would push what other hands do out of sight, px. */
const LOW = 790;

class Chair {
  constructor() {
    this.book = document.body.dataset.book;
    this.state = new State(JSON.parse(document.querySelector('#chair-data').textContent), deviceName(), sessionStorage.getItem('hands'));
    this.treads = new Treads(Number(document.body.dataset.clock));
    this.line = new Line(document.body.dataset.chair, {
      answer: (said) => {
        this.take(said.view);
        this.say(said.said);
        this.draw();
      },
      refused: (press, said) => {
        if (said.ask) this.actions.askBack(press, said.wrong);
        else this.say(said.wrong ?? 'That was refused.');
        this.draw();
      },
      kept: (press) => {
        this.state.suppose(press);
        this.draw();
      },
      aside: (why) => {
        this.say(`Left aside: ${why}`);
        this.draw();
      },
      pedal: (tread) => {
        if (!this.treads.takes(tread)) return;
        if (tread.hands === this.state.mine && this.state.hands().driver === this.state.device) this.actions.main().act?.();
      },
      lost: (is) => this.lost(is),
      signedOut: (pressed) => this.door.open(pressed),
    });
    this.actions = new Actions(this.state, this.line, this);
    this.door = new Door(document.querySelector('#door'), () => {
      this.line.listen();
      this.line.refresh();
    });
    this.signals = new Signals();
    this.helps = { levers: [], together: null };
    this.wantLevers();
  }

  get view() {
    return this.state.view;
  }

  take(view) {
    this.state.take(view, this.line.kept.presses);
    this.wantLevers();
  }

  start() {
    document.addEventListener('keydown', (e) => this.key(e));
    document.querySelector('#keys').addEventListener('ask', (e) => e.detail.push(...this.actions.keys()));
    part('retry').addEventListener('click', () => this.line.refresh());
    document.addEventListener('visibilitychange', () => {
      if (!document.hidden) this.awake();
    });
    this.pictures = mountBeside(turnToView, () => this.zones());
    this.take(this.view);
    this.draw();
    this.line.listen();
    setInterval(() => this.tick(), 500);
    setInterval(() => this.line.refresh(), REFRESH);
    window.addEventListener('resize', () => {
      this.drawnAt = -9;
      this.tick();
    });
    this.awake();
    if (this.line.kept.count) this.line.deliver();
  }

  awake() {
    navigator.wakeLock?.request('screen').catch(() => {});
  }

  lost(is) {
    part('lost').hidden = !is && !this.line.kept.count;
    part('why').textContent = this.line.why || 'The connection is gone.';
    const n = this.line.kept.count;
    part('kept').textContent = n ? `${n} ${n === 1 ? 'press is' : 'presses are'} kept on this device and delivered when it is back.` : '';
  }

  say(text) {
    if (!text) return;
    part('said').textContent = text;
    clearTimeout(this.silence);
    this.silence = setTimeout(() => {
      part('said').textContent = '';
    }, 14000);
  }

  /** When the call is in danger, what still helps is looked for; not at every press, and never in the way of one. */
  wantLevers() {
    const v = this.view;
    if (!this.state.inDanger()) {
      this.helps = { levers: [], together: null };
      this.helpsFor = null;
      return;
    }
    // ready moves with the clock once work is late: what helps is looked for again when something has happened or minutes have gone
    const key = `${v.steps} ${v.done} ${v.hands.map((h) => h.running?.step ?? '')} ${Math.floor(v.ready / LEVERS_STAND)}`;
    if (this.helpsFor === key) return;
    this.helpsFor = key;
    clearTimeout(this.helpsSoon);
    this.helpsSoon = setTimeout(async () => {
      const helps = await this.line.list('levers');
      if (!helps.levers || this.helpsFor !== key) return;
      const few = helps.together || (window.innerHeight < LOW && this.state.inOrder().length > 1);
      this.helps = { levers: helps.levers.slice(0, few ? 2 : 3), together: helps.together };
      this.draw();
    }, LEVERS_AFTER);
  }

  key(e) {
    if (e.ctrlKey || e.metaKey || e.altKey || document.querySelector('dialog[open]') || e.target.closest('input')) return;
    this.signals.allow();
    const key = e.key.toLowerCase();
    const pedal = localStorage.getItem('pedal');
    const lever = this.helps.levers[Number(key) - 1];
    if (lever && !e.repeat) {
      this.actions.pull(lever);
    } else if (key === 'enter' && this.helps.together && !e.target.closest('button, a')) {
      e.preventDefault();
      if (!e.repeat) this.actions.pull(this.helps.together);
    } else if (key === ' ' || key === 'enter' || (pedal && e.key === pedal)) {
      if (key === 'enter' && e.target.closest('button, a')) return;
      e.preventDefault();
      if (!e.repeat) this.actions.main().act?.();
    } else if (key === 'v') {
      this.pictures.toggle(this.zones());
    } else if (key === 'q') {
      this.say(this.signals.toggle());
    } else if (key === 'd' && this.state.film()?.dryer && !this.view.ended) {
      if (!e.repeat) this.actions.send({ type: 'DRYER', step: this.state.film().step });
    } else if (key === 'e' && this.view.spare) {
      this.actions.edges();
    } else if (key === 'tab' && this.view.hands.length > 1 && !e.shiftKey && document.activeElement === document.body) {
      e.preventDefault();
      const names = this.view.hands.map((h) => h.name);
      this.look(names[(names.indexOf(this.state.mine) + 1) % names.length]);
    } else {
      const action = this.actions.all().find((a) => a.key === key);
      if (action && !action.off && !e.repeat) {
        e.preventDefault();
        action.act();
      }
    }
  }

  /** What is worked on by the hands that are shown. */
  zones() {
    const h = this.state.hands();
    return (h.running ?? h.upcoming)?.zones ?? [];
  }

  /** Shows these hands large; whoever drives them is not changed. */
  look(name) {
    this.state.mine = name;
    sessionStorage.setItem('hands', name);
    this.draw();
  }

  draw() {
    const v = this.view;
    const send = (report) => this.actions.send(report);
    part('ready').textContent = v.readyText;
    part('call').textContent = v.callText;
    part('inhand').textContent = v.inHandText;
    part('inhand').parentElement.classList.toggle('late', v.inHand < 0);
    part('ready').parentElement.classList.toggle('late', v.inHand < 0);
    part('progress').textContent = [v.sure, `${v.done} of ${v.steps} steps`].filter(Boolean).join(' · ');
    const blocks = this.state.inOrder().map((h) => handsBlock(h, this.state, (name) => this.actions.drive(name)));
    const first = notice({ state: this.state, helps: this.helps, base: this.line.base, book: this.book, send, pull: (lever) => this.actions.pull(lever) });
    // what one does now stays above what would bring minutes back; everything else one must know first stands above it
    const choice = first[0]?.classList.contains('c-levers');
    part('hands').replaceChildren(...(choice ? [blocks[0], ...first, ...blocks.slice(1)] : [...first, ...blocks]));
    part('hands').classList.toggle('short', first.length > 0);
    part('hands').classList.toggle('three', blocks.length > 2);
    part('rehearsal').hidden = !document.body.dataset.rehearsal;
    for (const b of part('rehearsal').querySelectorAll('button')) b.setAttribute('aria-pressed', String(Number(b.value) === v.pace));
    part('clocks').replaceChildren(...clockBlocks(this.state, send));
    this.keysBar();
    this.paintFigure();
    this.tick();
  }

  keysBar() {
    const main = this.actions.main();
    const go = html('button', { type: 'button', class: 'done' }, html('u', {}, 'Space'), main.says);
    go.disabled = !main.act;
    go.addEventListener('click', () => main.act?.());
    const others = this.actions.all().map((a) => {
      const button = html('button', { type: 'button' }, html('u', {}, a.key.toUpperCase()), a.label);
      button.disabled = a.off;
      button.addEventListener('click', a.act);
      return button;
    });
    const leave = this.view.ended ? [html('a', { href: this.book }, 'leave')] : [];
    const focused = document.activeElement?.closest('[data-c="keys"]') ? [...part('keys').children].indexOf(document.activeElement) : -1;
    part('keys').replaceChildren(go, ...others, ...leave);
    if (focused >= 0) part('keys').children[focused]?.focus();
  }

  async paintFigure() {
    const figure = figureAt(document.querySelector('.c-figure'));
    if (!figure) return;
    await figure.ready;
    const now = this.state.now();
    const shown = new Map();
    // the film that is looked at first is said last, so that it is the one that counts where two lie on a zone
    for (const c of [...this.view.clocks].reverse()) for (const zone of c.zones) shown.set(zone, stateOf(c, now));
    for (const [id, zone] of Object.entries(figure.model.zones)) {
      const { state, says } = shown.get(id) ?? { state: '', says: '' };
      zone.tint = state;
      zone.word = says;
    }
    if (figure.svg) figure.paint();
  }

  /** What moves between answers: the hour, the countdowns, the needles. */
  tick() {
    const now = this.state.now();
    part('now').textContent = momentText(now);
    tickHands(now);
    for (const c of this.view.clocks) tickClock(c, now);
    const words = this.view.clocks.map((c) => stateOf(c, now).says).join(' ');
    if (this.words !== words) {
      // a film has changed by itself: the whole screen says so at once
      const first = this.words === undefined;
      this.words = words;
      if (!first) this.draw();
    }
    this.signals.at(this.view, now);
    const minute = (now - (this.view.ready - this.view.ribbon.ready * 60000)) / 60000;
    if (Math.abs((this.drawnAt ?? -9) - minute) > 0.2 || this.drawnView !== this.view) {
      drawMini(part('tape'), this.view.ribbon, { names: true, now: minute, height: 72 });
      this.drawnAt = minute;
      this.drawnView = this.view;
    }
  }
}

export function mountChair() {
  const chair = new Chair();
  chair.start();
  part('picture').addEventListener('change', (e) => {
    if (e.target.files[0]) chair.actions.picture(e.target.files[0]);
    e.target.value = '';
  });
  for (const b of part('rehearsal').querySelectorAll('button')) {
    b.addEventListener('click', () =>
      chair.line
        .post(`pace?minutes=${b.value}`)
        .then((a) => a.json())
        .then((a) => {
          chair.take(a.view);
          chair.draw();
        })
        .catch(() => chair.lost(true)),
    );
  }
}
