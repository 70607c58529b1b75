// An order settles by itself after a change: what is found is shown as soon as nobody types, draws or picks.
import { refresh } from './live.js';

const ASKS_EVERY = 500;
const QUIET = 1200;

let touched = 0;
let held = false;
let following = 0;

/** Whether a hand is at something that a swapped room would take away. */
function isBusy() {
  return (
    held ||
    Date.now() - touched < QUIET ||
    Boolean(document.querySelector('dialog[open], [data-picking]:not([hidden])')) ||
    Boolean(document.activeElement?.matches('#room select, #room input[type="color"], #room input[type="range"]'))
  );
}

/** Shows how far a search has come where there is a bar for it. */
function show(state) {
  const bar = document.querySelector('[data-search-bar]');
  if (!bar) return;
  bar.style.setProperty('--saved', `${state.saved}%`);
  bar.style.setProperty('--spent', `${Math.round(100 * state.spent)}%`);
  for (const word of bar.querySelectorAll('[data-says]')) word.textContent = state[word.dataset.says];
}

async function follow(address, turn) {
  const answer = await fetch(address).catch(() => null);
  if (!answer?.ok || turn !== following) return;
  const state = await answer.json();
  if (state.looking) {
    show(state);
    setTimeout(() => turn === following && follow(address, turn), ASKS_EVERY);
  } else if (state.asked || state.says) refreshOnceQuiet(turn);
}

/** A room that was swapped in meanwhile shows it anyway. */
export function refreshOnceQuiet(turn = following) {
  if (turn !== following) return;
  if (isBusy()) setTimeout(() => refreshOnceQuiet(turn), ASKS_EVERY);
  else refresh();
}

/** Follows the search that a room was told of; one room at a time. */
export function mountSettle() {
  following++;
  const place = document.querySelector('[data-settles]');
  if (place) follow(place.dataset.settles, following);
}

/** Listens for hands that are at work. */
export function watchHands() {
  for (const event of ['keydown', 'input', 'wheel']) document.addEventListener(event, () => (touched = Date.now()), { passive: true });
  document.addEventListener('pointerdown', () => (held = true));
  for (const event of ['pointerup', 'pointercancel', 'dragend'])
    document.addEventListener(event, () => {
      held = false;
      touched = Date.now();
    });
}
