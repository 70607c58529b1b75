// Signing in again in the chair, where a session has ended: nobody leaves the page, and what was pressed waits.

const parse = (text) => new DOMParser().parseFromString(text, 'text/html');
const meta = (page, name) => page.querySelector(`meta[name="${name}"]`)?.content ?? '';

/** Signs in beside the page. Resolves to why it did not work; empty where it did, and the page may press again. */
export async function signIn(username, password) {
  const door = parse(await (await fetch('/sign-in')).text());
  const answer = await fetch('/sign-in', {
    method: 'POST',
    body: new URLSearchParams({ username, password }),
    headers: { [meta(door, 'csrf-header')]: meta(door, 'csrf-token') },
  });
  const said = parse(await answer.text());
  if (new URL(answer.url).pathname === '/sign-in') return said.querySelector('.wrong')?.textContent ?? 'That did not work. Try again.';
  const again = await fetch(location.href);
  if (!again.ok) return 'This account does not work on this job. Sign in with one that does.';
  const token = meta(parse(await again.text()), 'csrf-token');
  if (!token) return 'That did not work. Try again.';
  document.querySelector('meta[name="csrf-token"]').content = token;
  return '';
}

/** The dialog that asks for it: once by itself, and again when something was pressed. */
export class Door {
  /** @param inside what is done when somebody is in again */
  constructor(dialog, inside) {
    this.dialog = dialog;
    this.wrong = dialog.querySelector('[role="alert"]');
    dialog.querySelector('[data-later]').addEventListener('click', () => dialog.close());
    dialog.querySelector('form').addEventListener('submit', async (e) => {
      e.preventDefault();
      const { username, password } = e.target.elements;
      try {
        this.wrong.textContent = await signIn(username.value, password.value);
      } catch {
        this.wrong.textContent = 'The connection is gone. Try again when it is back.';
      }
      password.value = '';
      if (this.wrong.textContent) return;
      dialog.close();
      this.asked = false;
      inside();
    });
  }

  open(pressed) {
    if (this.asked && !pressed) return;
    this.asked = true;
    if (!document.querySelector('dialog[open]')) this.dialog.showModal();
  }
}
