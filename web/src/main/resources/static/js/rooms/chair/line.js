// The line to the server. Reports go out one after another; one that cannot be delivered is kept on this device and delivered once,
// in turn, when the server is back.
import { Kept } from './kept.js';

/** The form of reports this script speaks. */
const EVENT_FORM = 2;

/** Whether an answer is the door's: whoever asked is not let in any more. */
const isOut = (answer) => answer.status === 403 || answer.redirected;

export class Line {
  /**
   * @param base the address of the run's chair
   * @param on what is done when something comes: answer(said), refused(press, said), kept(press), aside(why), pedal(tread), lost(is), signedOut(pressed)
   */
  constructor(base, on) {
    this.base = base;
    this.on = on;
    this.kept = new Kept(base);
    this.queue = Promise.resolve();
  }

  /** Hears what other screens report; where the line drops it is taken up again by itself. */
  listen() {
    this.heard?.close();
    const line = new EventSource(`${this.base}/stream`);
    this.heard = line;
    line.addEventListener('now', (e) => {
      this.on.lost(false);
      this.on.answer(JSON.parse(e.data));
    });
    line.addEventListener('pedal', (e) => this.on.pedal(JSON.parse(e.data)));
    line.onopen = () => {
      if (this.kept.count) this.deliver();
    };
    line.onerror = () => {
      this.on.lost(true);
      // it is not taken up again by itself where it was refused
      if (line.readyState === EventSource.CLOSED) this.refresh();
    };
  }

  send(report) {
    const press = { id: crypto.randomUUID(), version: EVENT_FORM, ...report };
    this.queue = this.queue.then(() => this.deliverOne(press));
    return this.queue;
  }

  async deliverOne(press) {
    if (this.kept.count) {
      this.keep(press);
      return;
    }
    try {
      const answer = await this.report(press, 0);
      const said = await answer.json();
      this.on.lost(false);
      if (answer.ok) this.on.answer(said);
      else this.on.refused(press, said);
    } catch {
      this.keep(press);
    }
  }

  keep(press) {
    this.kept.add(press);
    this.on.lost(true);
    this.on.kept(press);
  }

  /** Delivers what was kept, in turn, each with how long ago it was pressed. */
  async deliver() {
    if (this.delivering) return;
    this.delivering = true;
    try {
      while (this.kept.count) {
        const { press, at } = this.kept.first();
        const answer = await this.report(press, Date.now() - at);
        const said = await answer.json();
        this.kept.remove(press.id);
        if (answer.ok) this.on.answer(said);
        else this.on.aside(said.wrong);
      }
      this.on.lost(false);
    } catch {
      this.on.lost(true);
    } finally {
      this.delivering = false;
    }
  }

  report(press, ago) {
    return this.post('events', JSON.stringify({ ...press, ago }), 'application/json');
  }

  async post(path, body, type) {
    const header = document.querySelector('meta[name="csrf-header"]').content;
    const token = document.querySelector('meta[name="csrf-token"]').content;
    const answer = await fetch(`${this.base}/${path}`, { method: 'POST', body, headers: { ...(type ? { 'Content-Type': type } : {}), [header]: token } });
    // the session has ended: whoever stands here signs in again, and what was kept is delivered then
    const out = isOut(answer);
    if (out) this.on.signedOut(true);
    // no room on the server's disk: it says so itself
    this.why = out ? 'You are signed out.' : answer.status === 507 ? (await answer.json()).wrong : '';
    if (answer.status >= 500 || out) throw new Error(String(answer.status));
    return answer;
  }

  /** Asks how it stands; what was kept goes first. */
  async refresh() {
    if (this.kept.count) {
      this.deliver();
      return;
    }
    try {
      const answer = await fetch(`${this.base}/state`);
      if (isOut(answer)) this.on.signedOut(false);
      if (!answer.ok || answer.redirected) throw new Error(String(answer.status));
      const { view } = await answer.json();
      this.on.lost(false);
      this.on.answer({ view, said: '' });
    } catch {
      this.on.lost(true);
    }
  }

  /** What a report would do that is not made yet; `wrong` says why it cannot be. */
  async would(report) {
    try {
      const answer = await this.post('would', JSON.stringify(report), 'application/json');
      const said = await answer.json();
      return answer.ok ? said : { wrong: said.wrong };
    } catch {
      return { wrong: 'The connection is gone. Try again when it is back.' };
    }
  }

  /** What the server lists there; nothing where it cannot be asked. */
  list(path) {
    return fetch(`${this.base}/${path}`)
      .then((a) => (a.ok ? a.json() : []))
      .catch(() => []);
  }
}
