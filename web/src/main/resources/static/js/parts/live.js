// Changes a room without loading the page again: the server answers with the whole room, and only its parts are swapped.
import { settleAs, swapRoom } from './around.js';
import { mountFigures } from './figure.js';
import { mountRibbon } from './ribbon.js';

const mounts = [];

/** Registers something that must be made alive again whenever a room is swapped in. */
export function whenSwapped(mount) {
  mounts.push(mount);
}

/** Makes everything below a place alive. */
export function enliven(root) {
  mountRibbon(root);
  mountFigures(root);
  mounts.forEach((mount) => mount(root));
}

/** What a form is for, whatever stood there when its page was made. */
const purpose = (form) => form.action.replace(/([?&])had=[^&]*/, '$1');

/** Whether that was sent as it stands there: another form may have the same address, and more may have been typed since. */
const isSent = (input, sent) => input.form.action === sent?.address && sent.body.get(input.name) === input.value;

/** What is typed and not sent yet, by the form it stands in. */
function unsent(sent) {
  return [...document.querySelectorAll('#room form input:not([type=hidden], [type=checkbox], [type=radio], [type=file]), #room form textarea')]
    .filter((i) => i.name && (i.value !== i.defaultValue || i === document.activeElement) && !isSent(i, sent))
    .map((i) => ({
      form: purpose(i.form),
      name: i.name,
      value: i.value,
      changed: i.value !== i.defaultValue,
      at: i === document.activeElement ? i.selectionStart : -1,
    }));
}

/** Puts what was typed where it stood, with the cursor. */
function type(room, texts) {
  for (const text of texts) {
    const input = [...room.querySelectorAll(`form :is(input, textarea)[name="${CSS.escape(text.name)}"]`)].find((i) => purpose(i.form) === text.form);
    if (!input) continue;
    if (text.changed) input.value = text.value;
    if (text.at >= 0) {
      input.focus({ preventScroll: true });
      if (input.selectionStart !== null) input.setSelectionRange(text.at, text.at);
    }
  }
}

/** A zone that stayed in the page is focused already, and draws its ring when it is focused. */
function focusAnew(zone) {
  zone?.blur();
  zone?.focus();
}

/** What the page's head says of the job; most presses say nothing new there. */
const OF_JOB = ['.whose', '.clocks', '.work-line'];

function settlePart(old, fresh) {
  if (!old && fresh) document.querySelector('.whose')?.after(document.adoptNode(fresh));
  else if (!fresh) old?.remove();
  else if (old.isEqualNode(fresh)) return;
  else if (old.localName === 'nav') settleAs(old, document.adoptNode(fresh));
  else old.replaceWith(document.adoptNode(fresh));
}

function adopt(text, address, sent) {
  const page = new DOMParser().parseFromString(text, 'text/html');
  const fresh = page.querySelector('#room');
  const old = document.querySelector('#room');
  if (!fresh || !old) return false;
  const focused = document.activeElement?.closest('[data-figure]') ? document.activeElement.dataset.zone : null;
  const scroll = document.scrollingElement.scrollTop;
  const stays = address === location.href;
  const typed = stays ? unsent(sent) : [];
  // what stays in the page stays where it was scrolled to; something else is read from its beginning
  const scrolled = stays ? [] : [...old.querySelectorAll('[tabindex="0"]')].filter((part) => part.scrollTop);
  const oldTape = document.querySelector('.tape-part');
  const tape = page.querySelector('.tape-part');
  if (oldTape && tape) settleAs(oldTape, document.adoptNode(tape));
  else if (tape) document.querySelector('header').after(tape);
  for (const part of OF_JOB) settlePart(document.querySelector(part), page.querySelector(part));
  const next = page.querySelector('.next');
  const oldNext = document.querySelector('.next');
  if (next && oldNext && !oldNext.isEqualNode(next)) oldNext.replaceWith(document.adoptNode(next));
  swapRoom(old, fresh);
  document.title = page.title;
  const token = page.querySelector('meta[name="csrf-token"]');
  if (token) document.querySelector('meta[name="csrf-token"]').content = token.content;
  if (address !== location.href) history.pushState({}, '', address);
  enliven(document);
  type(old, typed);
  // where nothing was scrolled, the room need not be laid out for it now
  if (scroll) document.scrollingElement.scrollTop = scroll;
  for (const part of scrolled) part.scrollTop = 0;
  if (focused) setTimeout(() => focusAnew(document.querySelector(`.zone[data-zone="${focused}"]`)), 60);
  return true;
}

/** Says why nothing was changed; what was typed stays. */
function say(why) {
  const place = document.querySelector('#sentence, #room > .why') ?? document.createElement('p');
  if (!place.isConnected) document.querySelector('#room').prepend(place);
  if (place.id !== 'sentence') place.className = 'why change';
  place.setAttribute('role', 'alert');
  place.textContent = why;
}

// exchanges are counted, so that how a room looked before a press is not shown after it
let turns = 0;
let pressed = 0;

async function exchange(address, options, answered) {
  const turn = ++turns;
  const answer = await fetch(address, { ...options, headers: { 'X-Live': '1', ...(options?.headers ?? {}) } });
  if (answer.status === 507) {
    say((await answer.json()).wrong);
    return;
  }
  const text = await answer.text();
  if (answer.ok) answered?.();
  // an answer to a press keeps the address; one that was sent elsewhere takes that address
  const stays = options?.method === 'POST' && !answer.redirected;
  // another room has scripts and a header of its own: it is opened, not swapped in
  if (answer.redirected && new URL(answer.url).pathname !== location.pathname) {
    location.assign(answer.url);
    return;
  }
  if (options?.method === 'POST') pressed = ++turns;
  else if (turn < pressed && answer.url === location.href) return;
  if (!adopt(text, stays ? location.href : answer.url, options?.method === 'POST' ? { address, body: options.body } : null)) {
    document.open();
    document.write(text);
    document.close();
  }
}

/** Opens an address of the same room. */
export function go(address) {
  return exchange(address).catch(() => location.assign(address));
}

/** Shows the room as it is now; what is typed, opened or looked at stays as it is. */
export function refresh() {
  const said = (d) => d.querySelector('summary')?.textContent;
  const opened = new Map([...document.querySelectorAll('#room details')].map((d) => [said(d), d.open]));
  return exchange(location.href)
    .then(() => document.querySelectorAll('#room details').forEach((d) => (d.open = opened.get(said(d)) ?? d.open)))
    .catch(() => {});
}

function submit(form, submitter) {
  if (form.method === 'get') return go(`${form.action}?${new URLSearchParams(new FormData(form, submitter))}`);
  const body = new URLSearchParams(new FormData(form, submitter));
  return exchange(form.action, { method: 'POST', body }, () => form.dispatchEvent(new Event('answered'))).catch(() => {
    say('The server does not answer. Nothing was changed; try again.');
  });
}

/** Every form is sent with the token that its page says, so none needs a field for it. */
function mountToken() {
  const token = document.querySelector('meta[name="csrf-token"]');
  if (!token?.content) return;
  for (const field of document.querySelectorAll('input[name="_csrf"]')) field.remove();
  document.addEventListener('formdata', (e) => {
    if (e.target.getAttribute('method') === 'post') e.formData.set('_csrf', token.content);
  });
}

export function mountLive() {
  mountToken();
  document.addEventListener('click', (e) => {
    const link = e.target.closest('a[data-live]');
    if (link && !e.ctrlKey && !e.metaKey && !e.shiftKey) {
      e.preventDefault();
      go(link.href);
    }
  });
  document.addEventListener('submit', (e) => {
    const form = e.target;
    if (form.dataset.sure && !window.confirm(form.dataset.sure)) {
      e.preventDefault();
    } else if (form.matches('[data-live]')) {
      e.preventDefault();
      submit(form, e.submitter);
    }
  });
  window.addEventListener('popstate', () => location.reload());
}
