// Makes a page alive. Without it every room still works, a little slower.
import { forgetAhead, mountAhead } from './parts/ahead.js';
import { mountFilters } from './parts/filter.js';
import { mountKeys } from './parts/keys.js';
import { enliven, mountLive, whenSwapped } from './parts/live.js';
import { mountPictures } from './parts/picture.js';
import { mountRibbon } from './parts/ribbon.js';
import { mountSettle, watchHands } from './parts/settle.js';
import { mountTyped } from './parts/typed.js';
import { mountPatterns } from './parts/patterns.js';
import { mountWords } from './parts/words.js';

mountPatterns();
mountKeys();
const here = document.querySelector('.work-line a.on');
// on a narrow screen the line of rooms begins where one is
if (here) document.querySelector('.work-line').scrollLeft = here.offsetLeft - 80;
mountLive();
mountWords();
watchHands();
whenSwapped(mountSettle);
whenSwapped(mountPictures);
whenSwapped(mountTyped);
whenSwapped(mountFilters);
if (document.querySelector('[data-ahead]')) {
  mountAhead();
  whenSwapped(forgetAhead);
}
if (!document.body.dataset.chair && location.pathname.startsWith('/jobs/')) {
  const { mountWalk } = await import('./parts/walk.js');
  whenSwapped(mountWalk);
}
if (document.querySelector('[data-purpose="cover"]')) {
  const { mountCover } = await import('./rooms/brief/cover.js');
  whenSwapped(mountCover);
}
const zonesPressed = () => (new URL(location.href).searchParams.get('zones') ?? '').split(',').filter(Boolean);
const pictures = document.querySelector('[data-beside]');
if (pictures && !document.body.dataset.chair) {
  const { mountBeside, besidePressed } = await import('./parts/beside.js');
  const { turnToView } = await import('./parts/figure.js');
  mountBeside(turnToView, zonesPressed);
  whenSwapped(() => besidePressed(zonesPressed()));
}
if (document.querySelector('[data-day]')) {
  const { mountDays } = await import('./parts/day.js');
  whenSwapped(mountDays);
}
if (document.querySelector('.lookroom')) {
  const { mountLook } = await import('./rooms/look/look.js');
  whenSwapped(mountLook);
}
if (document.querySelector('.picturesroom')) {
  const { mountPicturesRoom } = await import('./rooms/picture/pictures.js');
  whenSwapped(mountPicturesRoom);
}
if (document.querySelector('.orderroom')) {
  const { mountOrder } = await import('./rooms/order/order.js');
  whenSwapped(mountOrder);
}
if (document.querySelector('.colourroom')) {
  const { mountColour } = await import('./rooms/colour/colour.js');
  whenSwapped(mountColour);
}
enliven(document);
const swatch = document.querySelector('[data-swatch]');
if (swatch) {
  const { mountCard } = await import('./rooms/colour/card.js');
  mountCard(swatch);
}
if (document.body.dataset.chair) {
  const { mountChair } = await import('./rooms/chair/chair.js');
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
const sides = document.querySelector('[data-sides]');
if (sides) {
  const { mountSides } = await import('./rooms/book/sides.js');
  mountSides(sides);
}
if (document.body.dataset.strike) {
  const { mountStrike } = await import('./rooms/strike/strike.js');
  mountStrike();
}
if (document.body.dataset.board) {
  const { mountBoard } = await import('./rooms/floor/board.js');
  mountBoard();
}
if (document.body.dataset.pedal) {
  const { mountPedal } = await import('./rooms/chair/pedal.js');
  mountPedal();
}
let resizing;
window.addEventListener('resize', () => {
  clearTimeout(resizing);
  resizing = setTimeout(() => mountRibbon(document, false), 120);
});
document.documentElement.dataset.alive = '1';
