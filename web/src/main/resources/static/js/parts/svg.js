// Small helpers for drawing.
import { hourText } from './clock.js';

const NS = 'http://www.w3.org/2000/svg';

/** Makes an SVG element with attributes and children. */
export function el(name, attributes = {}, ...children) {
  const node = document.createElementNS(NS, name);
  for (const [key, value] of Object.entries(attributes)) {
    if (value !== null && value !== undefined && value !== false) node.setAttribute(key, value);
  }
  node.append(...children);
  return node;
}

/** The data a server put beside a place in the page. */
export function dataIn(place) {
  const script = place.querySelector('script[type="application/json"]');
  return script ? JSON.parse(script.textContent) : null;
}

/** 07:41, or 7:41, beside a scale, from a minute of the day. */
export function hour(minuteOfDay) {
  const m = ((Math.floor(minuteOfDay) % 1440) + 1440) % 1440;
  return hourText(Math.floor(m / 60), m % 60).replace(/ [ap]m$/, '');
}

/** About how wide a text of the reading face is. */
export const widthOf = (text, size) => text.length * size * 0.53;
