// The chair: one screen that knows what is wet. The server holds the truth; between its answers the clocks count here. A press
// that cannot be delivered is kept on this device and delivered once, in turn, when the server is back.
import { figureAt } from '../../parts/figure.js';
import { drawMini } from '../../parts/ribbon.js';
import { el } from '../../parts/svg.js';
import { Kept } from './kept.js';
import { Signals } from '../../parts/signals.js';
import { madeSmall } from '../../parts/picture.js';

const REFRESH = 20_000;
const LEVERS_STAND = 120_000;
const LEVERS_AFTER = 900;
const SOON = 20_000;
const CLOSING = 6 * 60_000;
const PERFORMER_SOON = 10 * 60_000;
const AWAY = [['5 min', 300], ['10 min', 600], ['20 min', 1200], ['40 min', 2400]];
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

/** What a film is at this moment, and until when: one state and one word, for the clock, the figure and the middle alike. */
export function stateOf(c, now) {
  if (c.confirmed) return { state: 'dry', until: null, says: 'dry' };
  if (now >= (c.closes ?? c.clear)) return { state: 'dry', until: null, says: c.closes && c.wanted ? 'closed' : 'look now' };
  if (c.closes && now >= c.closes - 120000 && (!c.tacky || now >= c.tacky)) return { state: 'closing', until: c.closes, says: 'closing' };
  if (c.tacky && now >= c.tacky) return { state: 'tacky', until: c.closes ?? c.clear, says: 'tacky' };
  return { state: 'wet', until: c.tacky ?? c.clear, says: 'wet' };
}

class Chair {
  constructor() {
    this.base = document.body.dataset.chair;
    this.book = document.body.dataset.book;
    this.device = sessionStorage.getItem('device') ?? `screen-${crypto.randomUUID().slice(0, 8)}`;
    sessionStorage.setItem('device', this.device);
    this.kept = new Kept(this.base);
    this.signals = new Signals();
    this.helps = { levers: [], together: null };
    this.take(JSON.parse(document.querySelector('#chair-data').textContent));
    this.mine = sessionStorage.getItem('hands') ?? this.view.hands[0].name;
    if (!this.view.hands.some((h) => h.name === this.mine)) this.mine = this.view.hands[0].name;
    this.queue = Promise.resolve();
  }

  take(view) {
    this.view = view;
    this.at = Date.now();
    if (!view.hands.some((h) => h.name === this.mine)) this.mine = view.hands[0].name;
    this.wantLevers();
  }

  /** What the run's clock says; a rehearsal's runs faster. */
  now() {
    return this.view.now + (Date.now() - this.at) * this.view.pace;
  }

  hands(name = this.mine) {
    return this.view.hands.find((h) => h.name === name);
  }

  drivenHere(h) {
    return !h.driver || h.driver === this.device;
  }

  start() {
    document.addEventListener('keydown', (e) => this.key(e));
    part('retry').addEventListener('click', () => this.refresh());
    document.addEventListener('visibilitychange', () => { if (!document.hidden) this.awake(); });
    this.draw();
    this.listen();
    setInterval(() => this.tick(), 500);
    setInterval(() => this.refresh(), REFRESH);
    this.awake();
    if (this.kept.count) this.deliver();
  }

  awake() {
    navigator.wakeLock?.request('screen').catch(() => {});
  }

  // ------------------------------------------------------------------ talking to the server

  /** Hears what other screens report; where the line drops it is taken up again by itself. */
  listen() {
    const line = new EventSource(`${this.base}/stream`);
    line.addEventListener('now', (e) => {
      const answer = JSON.parse(e.data);
      this.lost(false);
      this.take(answer.view);
      this.say(answer.said);
      this.draw();
    });
    line.addEventListener('pedal', (e) => {
      if (JSON.parse(e.data) === this.mine && this.hands().driver === this.device) this.main().act?.();
    });
    line.onopen = () => { if (this.kept.count) this.deliver(); };
    line.onerror = () => this.lost(true);
  }

  /** Reports go out one after another; each is either answered or kept. */
  send(report) {
    const press = { id: crypto.randomUUID(), hands: this.mine, device: this.device, ...report };
    this.queue = this.queue.then(() => this.deliverOne(press));
    return this.queue;
  }

  async deliverOne(press) {
    if (this.kept.count) {
      this.keep(press);
      return;
    }
    try {
      const answer = await this.post(press, 0);
      const said = await answer.json();
      if (answer.ok) {
        this.take(said.view);
        this.say(said.said);
      } else if (said.ask) this.askBack(press, said.wrong);
      else this.say(said.wrong ?? 'That was refused.');
      this.lost(false);
      this.draw();
    } catch {
      this.keep(press);
    }
  }

  /** A press that goes against a film or the order is meant only if that is said. */
  async askBack(press, question) {
    const meant = await this.choose(question, 'The clock says so; your eye decides.', [['Begin all the same', true, 'you have looked'], ['Wait', false]]);
    if (meant) this.send({ ...press, id: crypto.randomUUID(), text: 'sure' });
  }

  /** Keeps a press and shows what it will have done, as far as this device can know. */
  keep(press) {
    this.kept.add(press);
    this.lost(true);
    const h = this.view.hands.find((x) => x.name === press.hands);
    if (h && press.type === 'FINISH') {
      h.running = null;
      h.upcoming = h.ahead.shift() ?? null;
      h.waitsFor = null;
      h.restDue = false;
      h.next = null;
    } else if (h && press.type === 'START' && h.upcoming) {
      const length = h.upcoming.until - h.upcoming.from;
      h.running = { ...h.upcoming, from: this.now(), until: this.now() + length };
      h.upcoming = null;
    } else if (press.type === 'CLEAR') {
      const clock = this.view.clocks.find((c) => c.step === press.step);
      if (clock) clock.confirmed = true;
    }
    this.draw();
  }

  /** Delivers what was kept, in turn, each with how long ago it was pressed. */
  async deliver() {
    if (this.delivering) return;
    this.delivering = true;
    try {
      while (this.kept.count) {
        const { press, at } = this.kept.first();
        const answer = await this.post(press, Date.now() - at);
        const said = await answer.json();
        this.kept.remove(press.id);
        if (answer.ok) this.take(said.view);
        else this.say(`Left aside: ${said.wrong}`);
      }
      this.lost(false);
      this.draw();
    } catch {
      this.lost(true);
    } finally {
      this.delivering = false;
    }
  }

  post(press, ago) {
    return this.fetch('events', JSON.stringify({ ...press, ago }), 'application/json');
  }

  async fetch(path, body, type) {
    const header = document.querySelector('meta[name="csrf-header"]').content;
    const token = document.querySelector('meta[name="csrf-token"]').content;
    const answer = await fetch(`${this.base}/${path}`, { method: 'POST', body, headers: { ...(type ? { 'Content-Type': type } : {}), [header]: token } });
    // a server that was started anew does not know this page any more; the page is loaded anew and what was kept delivered then
    if (answer.status === 403 || answer.redirected) location.reload();
    if (answer.status >= 500 || answer.status === 403 || answer.redirected) throw new Error(String(answer.status));
    return answer;
  }

  async refresh() {
    if (this.kept.count) {
      this.deliver();
      return;
    }
    try {
      const answer = await fetch(`${this.base}/state`);
      if (!answer.ok || answer.redirected) throw new Error(String(answer.status));
      this.take((await answer.json()).view);
      this.lost(false);
      this.draw();
    } catch {
      this.lost(true);
    }
  }

  lost(is) {
    part('lost').hidden = !is && !this.kept.count;
    const n = this.kept.count;
    part('kept').textContent = n ? `${n} ${n === 1 ? 'press is' : 'presses are'} kept on this device and delivered when it is back.` : '';
  }

  say(text) {
    if (!text) return;
    part('said').textContent = text;
    clearTimeout(this.silence);
    this.silence = setTimeout(() => { part('said').textContent = ''; }, 14000);
  }

  /** When the call is in danger, what still helps is looked for; not at every press, and never in the way of one. */
  wantLevers() {
    const v = this.view;
    const danger = !v.ended && !v.allDone && v.inHand < 0;
    if (!danger) {
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
      const answer = await fetch(`${this.base}/levers`).catch(() => null);
      if (!answer?.ok || this.helpsFor !== key) return;
      const helps = await answer.json();
      this.helps = { levers: helps.levers.slice(0, helps.together ? 2 : 3), together: helps.together };
      this.draw();
    }, LEVERS_AFTER);
  }

  async pull(lever) {
    for (const act of lever.acts) {
      let hands = act.hands || this.mine;
      if (act.type === 'JOIN') {
        hands = await this.prompt('Who joins?', 'Their name', act.hands === 'Another pair of hands' ? '' : act.hands);
        if (!hands) return;
      }
      await this.send({ type: act.type, step: act.step, seconds: act.seconds, text: act.text, hands });
    }
  }

  // ------------------------------------------------------------------ presses

  main() {
    const v = this.view;
    const h = this.hands();
    if (v.ended) return { says: 'how it went', act: () => location.assign(`${this.base}/review`) };
    if (v.onBreak) return { says: 'back to work', act: () => this.send({ type: 'BACK' }) };
    if (!this.drivenHere(h)) return { says: 'drive these hands', act: () => this.drive(this.mine) };
    if (h.running) return { says: 'done', act: () => this.send({ type: 'FINISH', step: h.running.step }) };
    if (v.allDone) return { says: 'end the day', act: () => this.send({ type: 'END' }) };
    if (h.restDue) return { says: 'begin the break', act: () => this.send({ type: 'BREAK' }) };
    if (h.upcoming) return { says: 'begin', act: () => this.send({ type: 'START', step: h.upcoming.step }) };
    return { says: 'nothing now', act: null };
  }

  /** The film a look is due at first: the one these keys answer for. */
  film() {
    const now = this.now();
    return this.view.clocks.find((c) => stateOf(c, now).state !== 'dry') ?? this.view.clocks.find((c) => !c.confirmed);
  }

  actions() {
    const h = this.hands();
    const step = h.running ?? h.upcoming;
    const film = this.film();
    const over = this.view.ended;
    const here = this.drivenHere(h);
    return [
      { key: 'c', label: 'clear', off: over || !film, act: () => this.send({ type: 'CLEAR', step: film.step }) },
      { key: 'n', label: 'not yet', off: over || !film, act: () => this.send({ type: 'NOT_YET', step: film.step }) },
      { key: 'u', label: 'take back', off: over || !h.canTakeBack || !here, act: () => this.send({ type: 'UNDO' }) },
      { key: 'a', label: 'add 2 min', off: over || !h.running || !here, act: () => this.send({ type: 'ADD', step: h.running.step, seconds: 120 }) },
      { key: 'x', label: 'leave out', off: over || !step || !here, act: () => this.leaveOut(step) },
      { key: 'l', label: 'trouble', off: over, act: () => this.trouble() },
      { key: 'r', label: 'once more', off: over, act: () => this.onceMore() },
      { key: 'b', label: 'break', off: over || this.view.onBreak || this.view.hands.some((x) => x.running), act: () => this.send({ type: 'BREAK' }) },
      { key: 'h', label: 'hands', off: over, act: () => this.crew() },
      { key: 'm', label: 'note', off: over, act: () => this.note() },
      ...(over ? [] : [{ key: 'z', label: 'leave', act: () => this.end() }]),
    ];
  }

  async leaveOut(step) {
    const text = await this.choose('Leave out', step.title, REASONS.map((r) => [r, r]), 'Or why, in a word');
    if (text) this.send({ type: 'SKIP', step: step.step, text });
  }

  /** The run can be left for a while or ended at any moment; what is done is kept, what is not stays undone. */
  async end() {
    const left = this.view.steps - this.view.done;
    const what = await this.choose('Leave the chair?', left ? `${left} of ${this.view.steps} steps are not done.` : 'All is done.', [
      ['Leave this screen; the run goes on', 'leave', 'it is here again whenever you come back'],
      ['Pause: the performer is called away', 'away', 'everything waits'],
      ['End the day: the performer leaves the chair', 'end', 'what was done is in the book; the job can be begun again'],
    ]);
    if (what === 'end') this.send({ type: 'END' });
    else if (what === 'leave') location.assign(this.base.replace(/chair$/, 'order'));
    else if (what === 'away') {
      const seconds = await this.choose('Away for how long?', '', AWAY.map(([words, s]) => [words, s]));
      if (seconds) this.send({ type: 'AWAY', seconds });
    }
  }

  /** What went wrong, then where: the way to put it right comes into the order at once. */
  async trouble() {
    const found = await this.list('troubles');
    const rows = found.map((t) => [t.says, t, t.how]);
    rows.push(['A product is missing', 'swap', 'another school for what has not begun'], ['Skin reacts', 'skin', 'stop; what to do now'], ['The performer is called away', 'away', 'everything waits'], ['The performer is unwell', 'off', 'off the face fast']);
    const what = await this.choose('What went wrong?', '', rows);
    if (!what) return;
    if (what === 'swap') this.swap();
    else if (what === 'skin') this.reaction();
    else if (what === 'off') location.assign(`${this.base}/off`);
    else if (what === 'away') {
      const seconds = await this.choose('Away for how long?', '', AWAY.map(([words, s]) => [words, s]));
      if (seconds) this.send({ type: 'AWAY', seconds });
    } else {
      this.troubleAt(what, 'Where?', what.says);
    }
  }

  /** Reports what went wrong at the one place where it can have, or at the one that is chosen. */
  async troubleAt(what, ask, hint) {
    const place = what.places.length === 1 ? what.places[0] : await this.choose(ask, hint, what.places.map((p) => [p.where || p.title, p, p.title]));
    if (place) this.send({ type: 'TROUBLE', step: place.step, text: what.id });
  }

  /** What the server lists there; nothing where it cannot be asked. */
  list(path) {
    return fetch(`${this.base}/${path}`).then((a) => (a.ok ? a.json() : [])).catch(() => []);
  }

  async reaction() {
    const text = await this.prompt('Skin reacts: stop', 'Where, and how (burning, swelling, redness …)', '');
    if (!text) return;
    await this.send({ type: 'REACTION', text });
  }

  async swap() {
    const found = await this.list('swaps');
    if (!found.length) {
      this.say('Nothing that has not begun could be done another way.');
      return;
    }
    const entry = await this.choose('Instead of what?', 'Only what has not begun', found.map((f) => [f.title, f, f.where]));
    if (!entry) return;
    const school = await this.choose('Do it how?', entry.title, entry.schools.map((x) => [x.name, x, `${x.minutes}${x.verdict ? `; ${x.verdict}` : ''}`]));
    if (school) this.send({ type: 'SCHOOL', step: entry.entry, text: school.id });
  }

  async onceMore() {
    const found = await this.list('done');
    if (!found.length) {
      this.say('Nothing is done yet.');
      return;
    }
    const place = await this.choose('Do what once more?', '', found.map((p) => [p.title, p, p.where]));
    if (place) this.send({ type: 'REDO', step: place.step });
  }

  async crew() {
    const rows = this.view.hands.filter((x) => x.name && this.view.hands.filter((y) => y.name).length > 1).map((x) => [`${x.name} leaves`, { leave: x.name }, 'what they are at is put down']);
    rows.push(['Somebody joins', { join: 'ASSISTANT' }, 'as an assistant'], ['A lead joins', { join: 'LEAD' }, 'may do what only a lead does']);
    const h = this.hands();
    if (document.body.dataset.rehearsal && h.driver === this.device) rows.push([`Let Kemdro play ${h.label}`, { play: true }, 'in this rehearsal']);
    const what = await this.choose('Hands', '', rows);
    if (!what) return;
    if (what.leave) this.send({ type: 'LEAVE', hands: what.leave });
    else if (what.play) this.send({ type: 'DRIVE', text: '' });
    else {
      const name = await this.prompt('Who joins?', 'Their name', '');
      if (name) this.send({ type: 'JOIN', hands: name, text: what.join });
    }
  }

  async note() {
    const what = await this.choose('For the book', '', [['A note', 'note'], ['An amount used', 'used', 'of what, and how much'], ['A picture', 'picture', 'from this device’s camera or files']]);
    if (what === 'note') {
      const text = await this.prompt('Note for the book', 'What should be known next time', '');
      if (text) this.send({ type: 'NOTE', text });
    } else if (what === 'used') {
      const text = await this.prompt('Amount used', 'Of what, and how much: acrylic adhesive 6 g', '');
      if (text) this.send({ type: 'USED', text });
    } else if (what === 'picture') part('picture').click();
  }

  /** A picture is made small on this device before it is sent. */
  async picture(file) {
    try {
      const small = await madeSmall(file);
      const form = new FormData();
      form.append('id', crypto.randomUUID());
      form.append('hands', this.mine);
      form.append('image', small, 'picture.jpg');
      const answer = await this.fetch('pictures', form);
      const said = await answer.json();
      this.say(answer.ok ? 'The picture is in the book.' : said.wrong);
    } catch {
      this.say('The picture could not be sent. Try again when the connection is back.');
    }
  }

  key(e) {
    if (e.ctrlKey || e.metaKey || e.altKey || document.querySelector('dialog[open]') || e.target.closest('input')) return;
    this.signals.allow();
    const key = e.key.toLowerCase();
    const pedal = localStorage.getItem('pedal');
    const lever = this.helps.levers[Number(key) - 1];
    if (lever && !e.repeat) {
      this.pull(lever);
    } else if (key === 'enter' && this.helps.together && !e.target.closest('button, a')) {
      e.preventDefault();
      if (!e.repeat) this.pull(this.helps.together);
    } else if (key === ' ' || key === 'enter' || (pedal && e.key === pedal)) {
      if (key === 'enter' && e.target.closest('button, a')) return;
      e.preventDefault();
      if (!e.repeat) this.main().act?.();
    } else if (key === 'q') {
      this.say(this.signals.toggle());
    } else if (key === 'd' && this.film()?.dryer && !this.view.ended) {
      if (!e.repeat) this.send({ type: 'DRYER', step: this.film().step });
    } else if (key === 'e' && this.view.spare) {
      this.edges();
    } else if (key === 'tab' && this.view.hands.length > 1 && !e.shiftKey && document.activeElement === document.body) {
      e.preventDefault();
      const names = this.view.hands.map((h) => h.name);
      this.look(names[(names.indexOf(this.mine) + 1) % names.length]);
    } else {
      const action = this.actions().find((a) => a.key === key);
      if (action && !action.off && !e.repeat) {
        e.preventDefault();
        action.act();
      }
    }
  }

  async edges() {
    const again = (await this.list('troubles')).find((t) => t.id === 'edges-again');
    if (again) this.troubleAt(again, 'Which edges?', '');
  }

  /** Shows these hands large; whoever drives them is not changed. */
  look(name) {
    this.mine = name;
    sessionStorage.setItem('hands', name);
    this.draw();
  }

  /** Takes these hands over. */
  drive(name) {
    const h = this.hands(name);
    this.look(name);
    if (h && !this.drivenHere(h)) this.send({ type: 'DRIVE', hands: name, text: this.device });
  }

  // ------------------------------------------------------------------ asking

  /** One of several; keys 1 to 9 choose. With a label, words of one's own are taken too. */
  choose(title, about, rows, label) {
    const dialog = document.querySelector('#ask');
    dialog.querySelector('h2').textContent = title;
    part('about').textContent = about;
    part('askfield').hidden = !label;
    part('asklabel').textContent = label ?? '';
    part('askinput').value = '';
    dialog.querySelector('button[value=ok]').hidden = !label;
    return new Promise((done) => {
      const close = (value) => { dialog.close(); dialog.onkeydown = null; done(value); };
      part('choices').replaceChildren(...rows.map(([words, value, small], k) => {
        const button = html('button', { type: 'button' }, html('u', {}, String(k + 1)), html('b', {}, words), small ? html('small', {}, small) : null);
        button.addEventListener('click', () => close(value));
        return button;
      }));
      dialog.onkeydown = (e) => {
        if (e.target.closest('input')) return;
        const row = rows[Number(e.key) - 1];
        if (row) { e.preventDefault(); close(row[1]); }
      };
      dialog.oncancel = () => { dialog.onkeydown = null; done(null); };
      dialog.querySelector('form').onsubmit = (e) => {
        e.preventDefault();
        close(e.submitter?.value === 'ok' || !e.submitter ? part('askinput').value.trim() || null : null);
      };
      dialog.showModal();
    });
  }

  prompt(title, label, value) {
    const asked = this.choose(title, '', [], label);
    part('askinput').value = value;
    part('askinput').focus();
    return asked;
  }

  // ------------------------------------------------------------------ drawing

  draw() {
    const v = this.view;
    part('ready').textContent = v.readyText;
    part('call').textContent = v.callText;
    part('inhand').textContent = v.inHandText;
    part('inhand').parentElement.classList.toggle('late', v.inHand < 0);
    part('ready').parentElement.classList.toggle('late', v.inHand < 0);
    part('progress').textContent = [v.sure, `${v.done} of ${v.steps} steps`].filter(Boolean).join(' · ');
    const blocks = this.inOrder().map((h) => this.handsBlock(h));
    const notice = this.notice();
    part('hands').replaceChildren(...notice, ...blocks);
    part('hands').classList.toggle('short', notice.length > 0);
    part('hands').classList.toggle('three', blocks.length > 2);
    part('rehearsal').hidden = !document.body.dataset.rehearsal;
    for (const b of part('rehearsal').querySelectorAll('button')) b.setAttribute('aria-pressed', String(Number(b.value) === v.pace));
    part('clocks').replaceChildren(...this.clockBlocks());
    this.keysBar();
    this.paintFigure();
    this.tick();
  }

  inOrder() {
    const near = (h) => h.name || h.running || (h.upcoming && h.upcoming.from - this.now() < PERFORMER_SOON);
    return this.view.hands.filter(near).sort((a, b) => Number(b.name === this.mine) - Number(a.name === this.mine));
  }

  /** What everybody must know first: a reaction, hands that are missing, the call in danger, minutes to spare. */
  notice() {
    const v = this.view;
    if (v.ended) return [html('div', { class: 'c-notice' }, html('h2', {}, 'The day in the chair is over.'), html('p', {}, 'Planning the removal is part of the work: ', html('a', { href: `${this.base}/off` }, 'how it comes off'), '. ', html('a', { href: this.book }, 'The book'), ' keeps what happened.'))];
    if (v.onBreak && v.pauseWhy === 'reaction') {
      return [html('div', { class: 'c-notice stop', role: 'alert' }, html('h2', {}, 'Stop. Skin reacts.'), html('p', {}, 'Lay nothing more. Take off what lies there with its own remover, rinse, cool. Swelling of lips, eyes or throat, or trouble breathing: call emergency services at once. Go on only when somebody responsible has looked.'), html('p', {}, html('a', { href: `${this.base}/off` }, 'How it comes off fast')))];
    }
    const missed = this.missed();
    if (missed) return [this.windowClosed(missed)];
    if (v.trouble) return [html('div', { class: 'c-notice stop', role: 'alert' }, html('h2', {}, 'This cannot all be kept'), html('p', {}, v.trouble))];
    if (this.helps.levers.length && v.inHand < 0) return [this.levers()];
    if (v.spare) return [html('div', { class: 'c-notice calm' }, html('p', {}, v.spare, ' ', html('b', {}, 'E'), ' puts them into the order.'))];
    return [];
  }

  /** A film that something was to go into and that has closed. */
  missed() {
    const now = this.now();
    return this.view.clocks.find((c) => c.wanted && c.closes && now >= c.closes && !c.confirmed);
  }

  /** Whether the window of this step has closed: that is said above everything, and not once more. */
  isClosed(step) {
    return this.missed()?.wanted === step.step;
  }

  windowClosed(c) {
    const again = html('button', { type: 'button', class: 'c-lever' }, html('b', {}, 'Lay it again'), html('span', {}, `${c.material}, ${c.where}`));
    again.addEventListener('click', () => this.send({ type: 'REDO', step: c.step }));
    const on = html('button', { type: 'button', class: 'c-lever' }, html('b', {}, 'Test and go on'), html('span', {}, c.wantedTitle));
    on.addEventListener('click', () => this.send({ type: 'START', step: c.wanted, text: 'sure' }));
    return html('div', { class: 'c-notice stop closed', role: 'alert' }, html('h2', {}, 'The window has closed'), html('p', {}, `${c.material}, ${c.where}, no longer grabs by the clock.`), html('div', { class: 'c-levers' }, again, on));
  }

  /** Two measures as one: by their numbers where both stand above it. */
  names(both) {
    const key = (act) => `${act.type} ${act.step} ${act.text}`;
    const acts = new Set(both.acts.map(key));
    const parts = this.helps.levers.map((l, k) => (l.acts.every((act) => acts.has(key(act))) ? k + 1 : 0)).filter(Boolean);
    return parts.length === 2 ? `${parts[0]} and ${parts[1]} together` : both.says;
  }

  levers() {
    const list = this.helps.levers.map((l, k) => {
      const button = html('button', { type: 'button', class: 'c-lever' }, html('u', {}, String(k + 1)), html('b', {}, l.saves), html('span', {}, l.says, html('small', {}, [l.costs, l.risk].filter(Boolean).join('; '))));
      button.addEventListener('click', () => this.pull(l));
      return button;
    });
    const both = this.helps.together;
    if (both) {
      const button = html('button', { type: 'button', class: 'c-lever both' }, html('u', {}, 'Enter'), html('span', {}, `${this.names(both)}: ready ${both.ready}`));
      button.addEventListener('click', () => this.pull(both));
      list.push(button);
    }
    return html('div', { class: 'c-levers', role: 'group', 'aria-label': 'What still brings minutes back' }, html('h2', {}, `${this.view.inHandText}. These bring minutes back:`), ...list);
  }

  handsBlock(h) {
    const mine = h.name === this.mine;
    const step = h.running ?? h.upcoming;
    const says = this.view.onBreak ? (this.view.pauseWhy === 'break' ? 'break' : 'waits') : h.running ? 'now' : h.helps ? 'helps' : step ? (step.from - this.now() > SOON ? `waits until ${clockText(step.from)}` : 'ready to begin') : 'has nothing left';
    const who = html('button', { type: 'button', class: 'c-who', 'aria-pressed': String(mine), 'aria-label': `${h.label}, ${says}${mine && this.drivenHere(h) ? '' : '. Press to drive these hands here'}` },
      html('b', {}, h.label), html('span', {}, says), step?.performer && h.running ? html('em', {}, `${step.performer}`) : null, this.drivenHere(h) ? (mine ? null : html('i', {}, 'show')) : html('i', {}, 'drive'));
    who.addEventListener('click', () => this.drive(h.name));
    const block = html('div', { class: `c-hand${mine ? ' mine' : ''}${h.running ? '' : ' waiting'}` }, who);
    if (this.view.onBreak) {
      block.append(html('p', { class: 'step' }, mine ? `${{ break: 'Break', away: 'Away', reaction: 'Stopped' }[this.view.pauseWhy] ?? 'Break'}, until ${clockText(this.view.breakUntil)}` : '—'));
    } else if (h.helps && !h.running) {
      block.append(html('h2', { class: 'step' }, h.helps));
      if (step) block.append(html('p', { class: 'c-next' }, 'next ', html('b', {}, step.title), `, ${clockText(step.from)}`));
    } else if (step) {
      block.append(html('h2', { class: 'step' }, step.title, ' ', html('small', {}, step.where)));
      if (h.waitsFor && !h.running && !this.isClosed(step)) block.append(html('p', { class: 'c-test' }, 'Waits for ', html('b', {}, h.waitsFor)));
      if (step.with) block.append(html('p', { class: 'c-test' }, html('b', {}, step.with), ' helps'));
      if (step.look && !this.waitsLong(h)) block.append(html('p', { class: 'c-test' }, 'Look for ', html('b', {}, step.look)));
      if (mine) step.cautions.slice(0, 1).forEach((c) => block.append(html('p', { class: 'c-caution' }, c)));
      const count = this.countFor(h, step);
      if (count) block.append(html('div', { class: `c-left ${count.kind}`, 'data-until': count.until, 'data-kind': count.kind }, html('b', {}), html('span', {})));
    } else {
      block.append(html('p', { class: 'step' }, this.view.allDone ? 'All is done' : 'Rest, or help'));
    }
    if (h.next && !this.view.onBreak && !(h.helps && !h.running)) block.append(html('p', { class: 'c-next' }, 'next ', html('b', {}, h.next.title), `, ${h.next.hour}`));
    return block;
  }

  waitsLong(h) {
    return !h.running && h.upcoming && h.upcoming.from - this.now() > SOON;
  }

  /** The one number worth counting for these hands: time left, time to wait, or the closing of a window. */
  countFor(h, step) {
    if (h.running) return { kind: step.doneAt ? 'over-now' : 'work', until: step.until };
    if (this.isClosed(step)) return null;
    if (step.closes && step.closes - this.now() < CLOSING) return { kind: 'closing', until: step.closes };
    if (this.waitsLong(h)) return { kind: 'wait', until: step.from };
    return null;
  }

  clockBlocks() {
    const now = this.now();
    const isDry = (c) => stateOf(c, now).state === 'dry';
    const open = this.view.clocks.filter((c) => !isDry(c));
    const look = this.view.clocks.filter((c) => !c.confirmed && isDry(c)).slice(0, 2);
    const dry = this.view.clocks.filter((c) => isDry(c) && !look.includes(c));
    const blocks = [...look, ...open].slice(0, 5).map((c, k) => this.clockBlock(c, k === 0));
    if (dry.length) {
      const where = dry.slice(0, 3).map((c) => c.where).join('; ');
      blocks.push(html('div', { class: 'c-clock dry' }, html('p', { class: 'z' }, where + (dry.length > 3 ? ` and ${dry.length - 3} more` : '')), html('p', { class: 'w' }, 'dry'), html('p', { class: 'l' }, 'free to touch')));
    }
    if (this.view.rest && !this.view.onBreak) {
      blocks.push(html('div', { class: 'c-clock dry' }, html('p', { class: 'z' }, 'break'), html('p', { class: 'w' }, this.view.rest.hour), html('p', { class: 'l' }, 'drink, stretch')));
    }
    if (!blocks.length) blocks.push(html('p', { class: 'c-empty' }, 'Nothing is drying.'));
    blocks.push(html('p', { class: 'c-room' }, `counted for ${this.view.room}`));
    return blocks;
  }

  clockBlock(c, asks) {
    const block = html('div', { class: `c-clock ${c.state}`, 'data-step': c.step },
      html('p', { class: 'z' }, `${c.where}`), html('p', { class: 'w' }), html('p', { class: 'n' }));
    block.append(this.threadOf(c));
    block.append(html('p', { class: 'l' }, `${c.material}: `, html('b', {}, c.look || 'dry to the touch')));
    if (asks && !this.view.ended) {
      const ask = html('div', { class: 'ask' });
      const presses = [['C', 'clear', 'CLEAR'], ['N', 'not yet', 'NOT_YET']];
      if (c.dryer && c.state !== 'dry') presses.push(['D', c.blown ? 'dryer off' : 'dryer on', 'DRYER']);
      for (const [key, label, type] of presses) {
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
    const leave = this.view.ended ? [html('a', { href: this.book }, 'leave')] : [];
    const focused = document.activeElement?.closest('[data-c="keys"]') ? [...part('keys').children].indexOf(document.activeElement) : -1;
    part('keys').replaceChildren(go, ...others, ...leave);
    if (focused >= 0) part('keys').children[focused]?.focus();
  }

  async paintFigure() {
    const figure = figureAt(document.querySelector('.c-figure'));
    if (!figure) return;
    await figure.ready;
    const now = this.now();
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
    const now = this.now();
    part('now').textContent = clockText(now);
    for (const left of document.querySelectorAll('.c-left')) {
      const rest = Number(left.dataset.until) - now;
      left.querySelector('b').textContent = countdown(rest);
      const kind = left.dataset.kind;
      left.classList.toggle('over', rest < 0);
      if (kind === 'over-now') {
        left.querySelector('b').textContent = 'done';
        left.querySelector('span').textContent = 'the work is finished: press Space';
        continue;
      }
      left.querySelector('span').textContent = kind === 'wait' ? 'then look, and begin' : kind === 'closing'
        ? rest < 0 ? 'the window has closed: lay it again, or test and go on' : 'before it closes; later it is laid again'
        : rest < 0 ? 'over its time; A adds two minutes' : `planned until ${clockText(Number(left.dataset.until))}`;
    }
    for (const c of this.view.clocks) this.tickClock(c, now);
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

  tickClock(c, now) {
    const block = part('clocks').querySelector(`[data-step="${CSS.escape(c.step)}"]`);
    if (!block) return;
    const { state, until, says } = stateOf(c, now);
    block.className = `c-clock ${state}`;
    block.querySelector('.w').textContent = c.blown && state !== 'dry' ? `${says}, dryer on` : says;
    block.querySelector('.n').textContent = until ? countdown(until - now) : '';
    const needle = block.querySelector('[data-needle]');
    const x = block.querySelector('svg').place(now);
    needle.querySelector('.cs-past').setAttribute('width', x);
    needle.querySelectorAll('path').forEach((p) => p.setAttribute('transform', `translate(${x} 0)`));
  }
}

export function mountChair() {
  const chair = new Chair();
  chair.start();
  part('picture').addEventListener('change', (e) => { if (e.target.files[0]) chair.picture(e.target.files[0]); e.target.value = ''; });
  for (const b of part('rehearsal').querySelectorAll('button')) {
    b.addEventListener('click', () => chair.fetch(`pace?minutes=${b.value}`).then((a) => a.json()).then((a) => { chair.take(a.view); chair.draw(); }).catch(() => chair.lost(true)));
  }
}
