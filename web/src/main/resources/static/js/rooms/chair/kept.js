// Presses that could not be delivered, kept on this device until they are.
export class Kept {
  constructor(run) {
    this.place = `kept ${run}`;
  }

  all() {
    try {
      return JSON.parse(localStorage.getItem(this.place) ?? '[]');
    } catch {
      return [];
    }
  }

  /** What was pressed, in the order in which it was. */
  get presses() {
    return this.all().map((k) => k.press);
  }

  get count() {
    return this.all().length;
  }

  add(press) {
    localStorage.setItem(this.place, JSON.stringify([...this.all(), { press, at: Date.now() }]));
  }

  first() {
    return this.all()[0];
  }

  /** Forgets this press and no other: another screen of this device may have delivered some meanwhile. */
  remove(id) {
    localStorage.setItem(this.place, JSON.stringify(this.all().filter((k) => k.press.id !== id)));
  }
}
