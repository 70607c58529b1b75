// Two minutes on a sample: what to press first, room by room. Where one is on the walk is kept on this device.
import { html } from './html.js';

const KEPT = 'walk';

export const STEPS = [
  { room: 'look', says: 'The body is the menu: press the left cheek.', done: (address) => (address.searchParams.get('zones') ?? '').includes('cheek') },
  { room: 'look', says: 'In the middle lies what is on it, on the right what happens there. Choose another strength, and read the sentence under the ribbon.' },
  { room: 'look', says: 'The ribbon is the clock: solid is hands, hatched dries by itself, a bracket will not wait. The flag is the call.' },
  { room: 'order', says: 'The morning, zone by zone. Walk it with the arrow keys; “Why here” says why a step stands where it does.' },
  { room: 'kit', says: 'What the day takes, what the house has, what to buy. Jars are as full as they should be.' },
  { room: 'safety', says: 'What must be tested, signed and asked before anybody sits down.' },
  { room: 'chair', says: 'Begin a rehearsal and choose 60×: Space is always the large button. Nothing you try on this head can be broken.' },
  { room: 'book', says: 'Here stands what happened, for the next day. That is the way of every head; set your own on the shelf with N.' },
];

/** The job and the room of an address; null where it is none of a job. */
export function placeOf(path) {
  const [, job, room] = path.match(/^\/jobs\/(\d+)\/([a-z]+)/) ?? [];
  return job ? { job, room: room === 'pictures' ? 'look' : room } : null;
}

const kept = () => JSON.parse(localStorage.getItem(KEPT) ?? 'null');
const keep = (walk) => (walk ? localStorage.setItem(KEPT, JSON.stringify(walk)) : localStorage.removeItem(KEPT));

function draw() {
  document.querySelector('.walk')?.remove();
  const walk = kept();
  const place = placeOf(location.pathname);
  if (!walk || !place || place.job !== walk.job) return;
  const step = STEPS[walk.at];
  const to = (at) => () => {
    const next = STEPS[at];
    keep(next ? { ...walk, at } : null);
    if (next && next.room !== place.room) location.assign(`/jobs/${walk.job}/${next.room}`);
    else draw();
  };
  const button = (says, act, style = 'act') => {
    const b = html('button', { type: 'button', class: style }, says);
    b.addEventListener('click', act);
    return b;
  };
  const here = step.room === place.room;
  const last = walk.at === STEPS.length - 1;
  const says = here ? step.says : 'The walk goes on in another room.';
  const go = here ? button(last ? 'Done' : 'Next', to(walk.at + 1), 'go') : button('There', () => location.assign(`/jobs/${walk.job}/${step.room}`), 'go');
  document.body.append(
    html(
      'aside',
      { class: 'walk', 'aria-label': 'Two-minute walk' },
      html('b', {}, `${walk.at + 1} of ${STEPS.length}`),
      html('p', { role: 'status' }, says),
      go,
      button(
        'Leave the walk',
        () => {
          keep(null);
          draw();
        },
        'act quiet',
      ),
    ),
  );
}

/** Shows where the walk is; whatever was asked for and is done leads on by itself. */
export function mountWalk() {
  const address = new URL(location.href);
  const place = placeOf(address.pathname);
  if (place && address.hash === '#walk') {
    keep({ job: place.job, at: 0 });
    history.replaceState({}, '', address.pathname + address.search);
  }
  const walk = kept();
  if (walk && place?.job === walk.job && STEPS[walk.at]?.done?.(address)) keep({ ...walk, at: walk.at + 1 });
  draw();
}
