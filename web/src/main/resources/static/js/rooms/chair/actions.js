// What can be pressed in the chair, and what is asked before it is reported.
import { madeSmall } from '../../parts/picture.js';
import { choose, prompt } from './ask.js';
import { more } from './more.js';
import { part } from './page.js';

const AWAY = [
  ['5 min', 300],
  ['10 min', 600],
  ['20 min', 1200],
  ['40 min', 2400],
];
const REASONS = ['no time', 'not seen by the camera', 'ran out', 'skin says no', 'not needed'];

export class Actions {
  /**
   * @param state how it stands
   * @param line to the server
   * @param screen on which something is said, and hands are shown
   */
  constructor(state, line, screen) {
    this.state = state;
    this.line = line;
    this.screen = screen;
  }

  get view() {
    return this.state.view;
  }

  /** Reports for the hands that are shown, unless it says whose they are. */
  send(report) {
    return this.line.send({ hands: this.state.mine, device: this.state.device, ...report });
  }

  main() {
    const v = this.view;
    const h = this.state.hands();
    if (v.ended) return { says: 'how it went', act: () => location.assign(`${this.line.base}/review`) };
    if (v.onBreak) return { says: 'back to work', act: () => this.send({ type: 'BACK' }) };
    if (!this.state.drivenHere(h)) return { says: 'take control here', act: () => this.drive(this.state.mine) };
    if (h.running) return { says: 'done', act: () => this.send({ type: 'FINISH', step: h.running.step }) };
    if (v.allDone) return { says: 'end the day', act: () => this.send({ type: 'END' }) };
    if (h.restDue) return { says: 'begin the break', act: () => this.send({ type: 'BREAK' }) };
    if (h.upcoming) return { says: 'begin', act: () => this.send({ type: 'START', step: h.upcoming.step }) };
    return { says: 'nothing now', act: null };
  }

  all() {
    const h = this.state.hands();
    const step = h.running ?? h.upcoming;
    const film = this.state.film();
    const over = this.view.ended;
    const here = this.state.drivenHere(h);
    return [
      { key: 'c', label: 'clear', off: over || !film, act: () => this.send({ type: 'CLEAR', step: film.step }) },
      { key: 'n', label: 'not yet', off: over || !film, act: () => this.send({ type: 'NOT_YET', step: film.step }) },
      { key: 'u', label: 'take back', off: over || !h.canTakeBack || !here, act: () => this.send({ type: 'UNDO' }) },
      { key: 'a', label: 'add 2 min', off: over || !h.running || !here, act: () => this.send({ type: 'ADD', step: h.running.step, seconds: 120 }) },
      { key: 'x', label: 'leave out', off: over || !step || !here, act: () => this.leaveOut(step) },
      { key: 'l', label: 'trouble', off: over, act: () => this.trouble() },
      { key: 'r', label: 'once more', off: over, act: () => this.onceMore() },
      { key: 'g', label: 'change', off: over, act: () => more(this) },
      { key: 'b', label: 'break', off: over || this.view.onBreak || this.view.hands.some((x) => x.running), act: () => this.send({ type: 'BREAK' }) },
      { key: 'h', label: 'hands', off: over, act: () => this.crew() },
      { key: 'm', label: 'note', off: over, act: () => this.note() },
      ...(over ? [] : [{ key: 'z', label: 'leave', act: () => this.end() }]),
    ];
  }

  /** Keys that do something at this moment, with what they do. */
  keys() {
    const main = this.main();
    const view = this.view;
    const levers = this.screen.helps.levers.length;
    return [
      ...(main.act ? [['Space', main.says]] : []),
      ...this.all()
        .filter((a) => !a.off)
        .map((a) => [a.key.toUpperCase(), a.label]),
      ...(this.state.film()?.dryer && !view.ended ? [['D', 'dryer on or off']] : []),
      ...(view.spare ? [['E', 'edges']] : []),
      ...(levers ? [[levers > 1 ? `1 – ${levers}` : '1', 'what brings minutes back']] : []),
      ...(this.screen.helps.together ? [['Enter', 'all of these together']] : []),
      ...(view.hands.length > 1 ? [['Tab', 'other hands']] : []),
      ['V', 'pictures of the character'],
      ['Q', 'sound and flash on or off'],
    ];
  }

  async leaveOut(step) {
    const text = await choose(
      'Leave out',
      step.title,
      REASONS.map((r) => [r, r]),
      'Or why, in a word',
    );
    if (text) this.send({ type: 'SKIP', step: step.step, text });
  }

  /** The run can be left for a while or ended at any moment; what is done is kept, what is not stays undone. */
  async end() {
    const left = this.view.steps - this.view.done;
    const what = await choose('Leave the chair?', left ? `${left} of ${this.view.steps} steps are not done.` : 'All is done.', [
      ['Leave this screen; the run goes on', 'leave', 'it is here again whenever you come back'],
      ['Pause: the performer is called away', 'away', 'everything waits'],
      ['End the day: the performer leaves the chair', 'end', 'what was done is in the book; the job can be begun again'],
    ]);
    if (what === 'end') this.send({ type: 'END' });
    else if (what === 'leave') location.assign(this.line.base.replace(/chair$/, 'order'));
    else if (what === 'away') this.away();
  }

  async away() {
    const seconds = await choose(
      'Away for how long?',
      '',
      AWAY.map(([words, s]) => [words, s]),
    );
    if (seconds) this.send({ type: 'AWAY', seconds });
  }

  /** Where, then what went wrong there: the way to put it right comes into the order at once. */
  async trouble() {
    const { spots = [] } = await this.line.list('troubles');
    const rows = [
      ['Skin reacts', 'skin', 'stop; what to do now'],
      ['The performer is unwell', 'off', 'off the face fast'],
      ['A product is missing', 'swap', 'another school for what has not begun'],
      ['The performer is called away', 'away', 'everything waits'],
      ...spots.map((s) => [s.says, s]),
    ];
    const what = await choose('Where is the trouble?', 'A place, or one of the first four', rows);
    if (!what) return;
    if (what === 'swap') this.swap();
    else if (what === 'skin') this.reaction();
    else if (what === 'off') location.assign(`${this.line.base}/off`);
    else if (what === 'away') this.away();
    else {
      const trouble = await choose(
        what.says,
        'What has happened?',
        what.troubles.map((t) => [t.says, t, t.how]),
      );
      if (trouble) this.troubleAt(trouble, 'To what?', trouble.says);
    }
  }

  /** Reports what went wrong to the one thing to which it can have, or to the one that is chosen. */
  async troubleAt(what, ask, hint) {
    const place =
      what.places.length === 1
        ? what.places[0]
        : await choose(
            ask,
            hint,
            what.places.map((p) => [p.where || p.title, p, p.title]),
          );
    if (place) this.send({ type: 'TROUBLE', step: place.step, repair: what.id, zones: place.zones });
  }

  async reaction() {
    const text = await prompt('Skin reacts: stop', 'Where, and how (burning, swelling, redness …)', '');
    if (!text) return;
    await this.send({ type: 'REACTION', text });
  }

  async swap() {
    const found = await this.line.list('swaps');
    if (!found.length) {
      this.screen.say('Nothing that has not begun could be done another way.');
      return;
    }
    const entry = await choose(
      'Instead of what?',
      'Only what has not begun',
      found.map((f) => [f.title, f, f.where]),
    );
    if (!entry) return;
    const school = await choose(
      'Do it how?',
      entry.title,
      entry.schools.map((x) => [x.name, x, `${x.minutes}${x.verdict ? `; ${x.verdict}` : ''}`]),
    );
    if (school) this.send({ type: 'SCHOOL', entry: entry.entry, technique: school.id });
  }

  async onceMore() {
    const found = await this.line.list('done');
    if (!found.length) {
      this.screen.say('Nothing is done yet.');
      return;
    }
    const place = await choose(
      'Do what once more?',
      '',
      found.map((p) => [p.title, p, p.where]),
    );
    if (place) this.send({ type: 'REDO', step: place.step });
  }

  async crew() {
    const rows = this.view.hands
      .filter((x) => x.name && this.view.hands.filter((y) => y.name).length > 1)
      .map((x) => [`${x.name} leaves`, { leave: x.name }, 'what they are at is put down']);
    rows.push(['Somebody joins', { join: 'ASSISTANT' }, 'as an assistant'], ['A lead joins', { join: 'LEAD' }, 'may do what only a lead does']);
    const h = this.state.hands();
    if (document.body.dataset.rehearsal && h.driver === this.state.device) rows.push([`Let Kemdro play ${h.label}`, { play: true }, 'in this rehearsal']);
    const what = await choose('Hands', '', rows);
    if (!what) return;
    if (what.leave) this.send({ type: 'LEAVE', hands: what.leave });
    else if (what.play) this.send({ type: 'DRIVE', driver: '' });
    else {
      const name = await prompt('Who joins?', 'Their name', '');
      if (name) this.send({ type: 'JOIN', hands: name, skill: what.join });
    }
  }

  async note() {
    const what = await choose('For the book', '', [
      ['A note', 'note'],
      ['An amount used', 'used', 'of what, and how much'],
      ['A picture', 'picture', 'from this device’s camera or files'],
    ]);
    if (what === 'note') {
      const text = await prompt('Note for the book', 'What should be known next time', '');
      if (text) this.send({ type: 'NOTE', text });
    } else if (what === 'used') {
      const text = await prompt('Amount used', 'Of what, and how much: acrylic adhesive 6 g', '');
      if (text) this.send({ type: 'USED', text });
    } else if (what === 'picture') part('picture').click();
  }

  /** A picture is made small on this device before it is sent. */
  async picture(file) {
    try {
      const small = await madeSmall(file);
      const form = new FormData();
      form.append('id', crypto.randomUUID());
      form.append('hands', this.state.mine);
      form.append('image', small, 'picture.jpg');
      const answer = await this.line.post('pictures', form);
      const said = await answer.json();
      this.screen.say(answer.ok ? 'The picture is in the book.' : said.wrong);
    } catch {
      this.screen.say('The picture could not be sent. Try again when the connection is back.');
    }
  }

  async edges() {
    const { spare = [] } = await this.line.list('troubles');
    if (spare.length) this.troubleAt(spare[0], 'Which edges?', '');
  }

  async pull(lever) {
    for (const act of lever.acts) {
      let hands = act.hands || this.state.mine;
      if (act.type === 'JOIN') {
        hands = await prompt('Who joins?', 'Their name', act.hands === 'Another pair of hands' ? '' : act.hands);
        if (!hands) return;
      }
      await this.send({ ...act, hands });
    }
  }

  /** Takes these hands over. */
  drive(name) {
    const h = this.state.hands(name);
    this.screen.look(name);
    if (h && !this.state.drivenHere(h)) this.send({ type: 'DRIVE', hands: name, driver: this.state.device });
  }

  /** A press that goes against a film or the order is meant only if that is said. */
  async askBack(press, question) {
    const meant = await choose(question, 'The clock says so; your eye decides.', [
      ['Begin all the same', true, 'you have looked'],
      ['Wait', false],
    ]);
    if (meant) this.send({ ...press, id: crypto.randomUUID(), sure: true });
  }
}
