/** A tread older than this is no press any more, milliseconds: whoever trod then has seen that nothing came of it. */
const STALE = 4000;

/** Takes each tread of a pedal once, and none that was on its way too long, as when this screen slept. */
export class Treads {
  /** @param server the server's clock when this page was drawn, milliseconds */
  constructor(server, now = Date.now()) {
    this.ahead = server - now;
    this.taken = new Set();
  }

  takes(tread, now = Date.now()) {
    if (this.taken.has(tread.id)) return false;
    this.taken.add(tread.id);
    return now + this.ahead - tread.at <= STALE;
  }
}
