// What the chair knows between two answers of the server: how the run stands, whose hands are shown, what the clock says now.
/** What a film is at this moment, and until when: one state and one word, for the clock, the figure and the middle alike. */
export function stateOf(c, now) {
  if (c.confirmed) return { state: 'dry', until: null, says: 'dry' };
  if (now >= (c.closes ?? c.clear)) return { state: 'dry', until: null, says: c.closes && c.wanted ? 'closed' : 'check it now' };
  if (c.closes && now >= c.closes - 120000 && (!c.tacky || now >= c.tacky)) return { state: 'closing', until: c.closes, says: 'closing' };
  if (c.tacky && now >= c.tacky) return { state: 'tacky', until: c.closes ?? c.clear, says: 'tacky' };
  return { state: 'wet', until: c.tacky ?? c.clear, says: 'wet' };
}

const CLOSING = 6 * 60_000;
const SOON = 20_000;
const PERFORMER_SOON = 10 * 60_000;

export class State {
  /** Of a screen that is called so and shows these hands, if they are there. */
  constructor(view, device, mine, clock = Date.now) {
    this.device = device;
    this.mine = mine;
    this.clock = clock;
    this.take(view);
  }

  /**
   * How it stands now, as the server says; and what it cannot know yet.
   *
   * @param kept presses that it has not been told, in their order
   */
  take(view, kept = []) {
    this.view = view;
    this.at = this.clock();
    if (!view.hands.some((h) => h.name === this.mine)) this.mine = view.hands[0].name;
    kept.forEach((press) => this.suppose(press));
  }

  /** What the run's clock says; a rehearsal's runs faster. */
  now() {
    return this.view.now + (this.clock() - this.at) * this.view.pace;
  }

  hands(name = this.mine) {
    return this.view.hands.find((h) => h.name === name);
  }

  drivenHere(h) {
    return !h.driver || h.driver === this.device;
  }

  /** Whose turn comes in a while, those that are shown here first. */
  inOrder() {
    const near = (h) => h.name || h.running || (h.upcoming && h.upcoming.from - this.now() < PERFORMER_SOON);
    return this.view.hands.filter(near).sort((a, b) => Number(b.name === this.mine) - Number(a.name === this.mine));
  }

  /** The film a look is due at first: the one these keys answer for. */
  film() {
    const now = this.now();
    return this.view.clocks.find((c) => stateOf(c, now).state !== 'dry') ?? this.view.clocks.find((c) => !c.confirmed);
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

  /** What these hands help with; not once more the step that stands above it, large. */
  helpText(h) {
    const above = h.name === this.mine ? undefined : this.hands().running?.title;
    return above && h.helps.endsWith(`: ${above}`) ? h.helps.slice(0, -above.length - 2) : h.helps;
  }

  waitsLong(h) {
    return !h.running && h.upcoming && h.upcoming.from - this.now() > SOON;
  }

  /** Whether a step is not to be begun for a while. */
  isLater(step) {
    return step.from - this.now() > SOON;
  }

  /** The one number worth counting for these hands: time left, time to wait, or the closing of a window. */
  countFor(h, step) {
    if (h.running) return { kind: step.doneAt ? 'over-now' : 'work', until: step.until };
    if (this.isClosed(step)) return null;
    if (step.closes && step.closes - this.now() < CLOSING) return { kind: 'closing', until: step.closes };
    if (this.waitsLong(h)) return { kind: 'wait', until: step.from };
    return null;
  }

  /** Whether the call is in danger, so that what still helps is looked for. */
  inDanger() {
    return !this.view.ended && !this.view.allDone && this.view.inHand < 0;
  }

  /** What a press that could not be delivered will have done, as far as this device can know; nothing where it was told after all. */
  suppose(press) {
    const h = this.view.hands.find((x) => x.name === press.hands);
    if (h && press.type === 'FINISH' && h.running?.step === press.step) {
      h.running = null;
      h.upcoming = h.ahead.shift() ?? null;
      h.waitsFor = null;
      h.restDue = false;
      h.next = null;
    } else if (h && press.type === 'START' && h.upcoming?.step === press.step) {
      const length = h.upcoming.until - h.upcoming.from;
      h.running = { ...h.upcoming, from: this.now(), until: this.now() + length };
      h.upcoming = null;
    } else if (press.type === 'CLEAR') {
      const clock = this.view.clocks.find((c) => c.step === press.step);
      if (clock) clock.confirmed = true;
    }
  }
}
