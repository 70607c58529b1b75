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

  get count() {
    return this.all().length;
  }

  add(press) {
    localStorage.setItem(this.place, JSON.stringify([...this.all(), { press, at: Date.now() }]));
  }

  first() {
    return this.all()[0];
  }

  shift() {
    localStorage.setItem(this.place, JSON.stringify(this.all().slice(1)));
  }
}
