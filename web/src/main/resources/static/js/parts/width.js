// How wide a place is. Asking makes the browser lay out the whole page; a place that stays in the page is asked once, and says it when it is another.

const known = new WeakMap();

const watch = new ResizeObserver((entries) => {
  for (const { target } of entries) {
    const place = known.get(target);
    const width = target.clientWidth;
    if (!place || width === place.width) continue;
    place.width = width;
    setTimeout(place.redraw);
  }
});

/** The width to draw in; whoever draws is called again when it is another. */
export function widthIn(place, redraw) {
  const at = known.get(place) ?? { width: place.clientWidth };
  at.redraw = redraw;
  if (!known.has(place)) {
    known.set(place, at);
    watch.observe(place);
  }
  return at.width;
}
