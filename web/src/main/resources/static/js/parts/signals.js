// Sound and a flash of the screen for what must not be missed: look now, closing, break. Q makes it quiet.
const TONES = { look: [660], closing: [880, 880, 880], rest: [520, 390] };
const CLOSING = 120_000;

export class Signals {
  constructor() {
    this.seen = new Set();
    this.first = true;
  }

  get quiet() {
    return localStorage.getItem('quiet') === '1';
  }

  toggle() {
    localStorage.setItem('quiet', this.quiet ? '0' : '1');
    return this.quiet ? 'Quiet: no sound. Q brings it back.' : 'Sound is on. Q makes it quiet.';
  }

  /** Browsers let a page sound only after a press. */
  allow() {
    this.audio ??= window.AudioContext ? new AudioContext() : null;
  }

  /** Gives each signal once; what was due before this screen was opened is not given. */
  at(view, now) {
    const due = [];
    for (const c of view.clocks) {
      if (c.confirmed) continue;
      const closes = c.closes ?? Infinity;
      if (now >= (c.closes ?? c.clear)) due.push([`look ${c.step} ${c.clear}`, 'look']);
      else if (now >= closes - CLOSING) due.push([`closing ${c.step} ${closes}`, 'closing']);
    }
    if (view.hands.some((h) => h.restDue)) due.push([`rest ${view.rest?.hour}`, 'rest']);
    for (const [key, kind] of due) {
      if (this.seen.has(key)) continue;
      this.seen.add(key);
      if (!this.first) this.give(kind);
    }
    this.first = false;
  }

  give(kind) {
    document.body.classList.remove('flash-look', 'flash-closing', 'flash-rest');
    requestAnimationFrame(() => document.body.classList.add(`flash-${kind}`));
    setTimeout(() => document.body.classList.remove(`flash-${kind}`), 1600);
    if (this.quiet || !this.audio) return;
    TONES[kind].forEach((tone, k) => {
      const sound = this.audio.createOscillator();
      const loud = this.audio.createGain();
      sound.frequency.value = tone;
      loud.gain.value = 0.12;
      sound.connect(loud).connect(this.audio.destination);
      sound.start(this.audio.currentTime + k * 0.22);
      sound.stop(this.audio.currentTime + k * 0.22 + 0.15);
    });
  }
}
