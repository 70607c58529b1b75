// Puts a fresh room where the old one stands. What both say alike stays in the page: it is not laid out, painted and made alive again.
import { figureAt, moveFigure } from './figure.js';
import { dataIn } from './svg.js';

/** What holds parts and nothing else: its parts are put in place one by one. */
const HOLDS_PARTS = new Set(['MAIN', 'SECTION', 'ASIDE', 'ARTICLE', 'DIV', 'NAV', 'UL', 'OL', 'DL']);

/** Marks by which nothing reaches for one place: presses are heard for all of them at once, a list is filtered through its field. */
const FOR_ALL = new Set(['data-live', 'data-ahead', 'data-filtered']);

/** Whether a script may have made this very place alive; then it must do so again with what comes. */
const isReached = (place) => place.getAttributeNames().some((name) => name.startsWith('data-') && !FOR_ALL.has(name));

/** Whether something was typed or chosen there that its page does not say. */
function isTouched(field) {
  if (field.options) return [...field.options].some((o) => o.selected !== o.defaultSelected);
  return field.checked !== field.defaultChecked || field.value !== field.defaultValue;
}

const holdsParts = (place) =>
  HOLDS_PARTS.has(place.tagName) && !isReached(place) && [...place.childNodes].every((node) => node.nodeType !== Node.TEXT_NODE || !node.data.trim());

/** Whether a part can stay: it says what the fresh one says, no script reaches for anything in it, and nothing is typed into it. */
const isSame = (old, fresh) =>
  old.isEqualNode(fresh) &&
  !isReached(old) &&
  ![...old.querySelectorAll('*')].some(isReached) &&
  ![...old.querySelectorAll('input, textarea, select')].some(isTouched);

function dress(old, fresh) {
  for (const name of old.getAttributeNames()) if (!fresh.hasAttribute(name)) old.removeAttribute(name);
  for (const { name, value } of fresh.attributes) if (old.getAttribute(name) !== value) old.setAttribute(name, value);
}

const isOneFigure = (from, to) =>
  Boolean(from && to && figureAt(from)?.svg) && from.dataset.purpose === to.dataset.purpose && from.dataset.src === to.dataset.src;

/** What a drawing is made from. */
function tell(old, fresh) {
  dress(old, fresh);
  old.querySelector(':scope > script').replaceWith(fresh.querySelector(':scope > script'));
}

/** A figure, the ribbon, or a place that draws itself from its script, stays and is told what it shows now. */
function keepsDrawing(old, fresh) {
  if (old.dataset.drawn === '' && fresh.dataset.drawn === '') {
    tell(old, fresh);
    return true;
  }
  if (old.dataset.ribbon === '' && fresh.dataset.ribbon === '') {
    dress(old, fresh);
    return true;
  }
  if (!isOneFigure(old, fresh)) return false;
  const figure = figureAt(old);
  const model = dataIn(fresh);
  const isPainted = old.dataset.words === fresh.dataset.words && JSON.stringify(model) === JSON.stringify(figure.model);
  tell(old, fresh);
  if (!isPainted) figure.paint(model);
  return true;
}

/** Makes a place say what the fresh one says, with as much of what stands there as is the same. */
export function settleAs(old, fresh) {
  dress(old, fresh);
  const parts = [...old.children];
  let at = 0;
  for (const part of [...fresh.children]) {
    const same = parts.findIndex((p, k) => k >= at && isSame(p, part));
    const here = parts[at];
    if (same >= 0) {
      parts.slice(at, same).forEach((p) => p.remove());
      at = same + 1;
    } else if (here?.tagName !== part.tagName) {
      old.insertBefore(part, here ?? null);
    } else {
      at++;
      if (holdsParts(here) && holdsParts(part)) settleAs(here, part);
      else if (!keepsDrawing(here, part)) here.replaceWith(part);
    }
  }
  parts.slice(at).forEach((p) => p.remove());
}

/** Puts a fresh room in the place of the old one. */
export function swapRoom(old, fresh) {
  const [from, to] = [old, fresh].map((room) => room.querySelector('[data-figure]'));
  const isOne = isOneFigure(from, to);
  document.adoptNode(fresh);
  settleAs(old, fresh);
  // in a form that was replaced its figure comes along
  if (isOne && !from.isConnected) moveFigure(from, to);
}
