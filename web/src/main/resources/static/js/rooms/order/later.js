// What takes a while to work out is asked for once the room stands; the answer for a room that was left meanwhile is dropped.
import { refreshOnceQuiet } from '../../parts/settle.js';
import { standing } from '../../parts/standing.js';

const asked = (what) => fetch(`${location.pathname}/${what}`).catch(() => null);

async function fill(place, what) {
  await standing(place);
  const answer = await asked(what);
  if (!answer?.ok || !place.isConnected) return;
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  place.replaceChildren(...document.adoptNode(page.querySelector(`#${what}`)).childNodes);
  // nothing is awaited there any more
  delete place.dataset[what];
}

/** When it is known what the wishes cost, the room says it, and so does the ribbon. */
async function cost(place) {
  await standing(place);
  const answer = await asked('wishes/costs');
  if (answer?.ok && place.isConnected) refreshOnceQuiet();
}

export function askLater(root) {
  root.querySelectorAll('[data-costs]').forEach(cost);
  // the quickest first: they are worked out one after another
  for (const what of ['ways', 'signing', 'levers']) root.querySelectorAll(`[data-${what}]`).forEach((place) => fill(place, what));
}
