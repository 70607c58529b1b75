// Puts a fresh room where the old one stands, around the figure that both have: what stays in the page is not laid out and painted again.
import { figureAt, moveFigure } from './figure.js';
import { dataIn } from './svg.js';

// where a form stands around a figure, what listens to the form belongs to the old room
const KEPT = ['press', 'painted'];

/** What leads from a place up to one inside it, the place first. */
function chain(from, to) {
  const steps = [];
  for (let at = to; at; at = at.parentElement) {
    steps.unshift(at);
    if (at === from) return steps;
  }
  return [];
}

function dress(old, fresh) {
  for (const { name } of [...old.attributes]) if (!fresh.hasAttribute(name)) old.removeAttribute(name);
  for (const { name, value } of fresh.attributes) if (old.getAttribute(name) !== value) old.setAttribute(name, value);
}

/**
 * Changes the old place into the fresh one, but for what is kept.
 * @returns whether that can be: both must hold it in the same way
 */
export function swapAround(old, fresh, kept, spot) {
  const stays = chain(old, kept);
  const comes = chain(fresh, spot);
  if (!stays.length || stays.length !== comes.length || stays.some((s, k) => s.localName !== comes[k].localName)) return false;
  for (let k = 0; k < stays.length - 1; k++) {
    const [place, branch] = [stays[k], stays[k + 1]];
    dress(place, comes[k]);
    while (place.firstChild !== branch) place.firstChild.remove();
    while (place.lastChild !== branch) place.lastChild.remove();
    while (comes[k].firstChild !== comes[k + 1]) place.insertBefore(comes[k].firstChild, branch);
    while (comes[k + 1].nextSibling) place.append(comes[k + 1].nextSibling);
  }
  return true;
}

/** Puts a fresh room in the place of the old one and answers the one that stands in the page then. */
export function swapRoom(old, fresh) {
  const [from, to] = [old, fresh].map((room) => room.querySelector('[data-figure]'));
  const figure = from && to && figureAt(from);
  const isSame = figure?.svg && from.dataset.purpose === to.dataset.purpose && from.dataset.src === to.dataset.src;
  document.adoptNode(fresh);
  if (isSame && KEPT.includes(from.dataset.purpose) && swapAround(old, fresh, from.querySelector('.figure-art'), to.querySelector('.figure-art'))) {
    figure.viewButtons();
    figure.paint(dataIn(from));
    return old;
  }
  old.replaceWith(fresh);
  if (isSame) moveFigure(from, to);
  return fresh;
}
