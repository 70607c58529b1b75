// Makes a page alive. Without it every room still works, a little slower.
import { mountCover } from './cover.js';
import { mountKeys } from './keys.js';
import { enliven, mountLive, whenSwapped } from './live.js';
import { mountPictures } from './picture.js';
import { mountRibbon } from './ribbon.js';
import { mountTyped } from './typed.js';
import { mountPatterns } from './patterns.js';

mountPatterns();
mountKeys();
mountLive();
whenSwapped(mountCover);
whenSwapped(mountPictures);
whenSwapped(mountTyped);
if (document.querySelector('.lookroom')) {
  const { mountLook } = await import('./look/look.js');
  whenSwapped(mountLook);
}
if (document.querySelector('.orderroom')) {
  const { mountOrder } = await import('./order/order.js');
  whenSwapped(mountOrder);
}
if (document.querySelector('.colourroom')) {
  const { mountColour } = await import('./colour/colour.js');
  whenSwapped(mountColour);
}
enliven(document);
const swatch = document.querySelector('[data-swatch]');
if (swatch) {
  const { mountCard } = await import('./colour/card.js');
  mountCard(swatch);
}
if (document.body.dataset.chair) {
  const { mountChair } = await import('./chair/chair.js');
  mountChair();
}
for (const bag of document.querySelectorAll('[data-bag]')) {
  // what is packed is remembered on this device
  const place = `bag ${bag.dataset.bag}`;
  const packed = new Set(JSON.parse(localStorage.getItem(place) ?? '[]'));
  for (const box of bag.querySelectorAll('[data-tick]')) {
    box.checked = packed.has(box.dataset.tick);
    box.addEventListener('change', () => {
      packed[box.checked ? 'add' : 'delete'](box.dataset.tick);
      localStorage.setItem(place, JSON.stringify([...packed]));
    });
  }
}
if (document.body.dataset.strike) {
  const { mountStrike } = await import('./strike.js');
  mountStrike();
}
if (document.body.dataset.board) {
  const { mountBoard } = await import('./floor/board.js');
  mountBoard();
}
if (document.body.dataset.pedal) {
  const { mountPedal } = await import('./chair/pedal.js');
  mountPedal();
}
let resizing;
window.addEventListener('resize', () => {
  clearTimeout(resizing);
  resizing = setTimeout(() => mountRibbon(document, false), 120);
});
document.documentElement.dataset.alive = '1';
