// Pointing at a place on a picture: by pressing it, or with the arrow keys and Enter.
const STEP = 0.004;
const FAST = 10;

/** Where on a drawing a pointer is, in the units of its viewBox. */
export function placeOn(svg, pointer) {
  const box = svg.getBoundingClientRect();
  const { width, height } = svg.viewBox.baseVal;
  return { x: ((pointer.clientX - box.left) / box.width) * width, y: ((pointer.clientY - box.top) / box.height) * height };
}

/**
 * @param svg what is pointed at; its viewBox is the picture's size
 * @param told `cross({x, y})` where the cross has moved to by keys, or null; `at({x, y})` a place that is meant; in units of the picture
 */
export function pointing(svg, told) {
  let cross = null;
  svg.addEventListener('click', (e) => {
    cross = null;
    told.at(placeOn(svg, e));
  });
  svg.addEventListener('keydown', (e) => {
    const { width, height } = svg.viewBox.baseVal;
    const step = (e.shiftKey ? FAST : 1) * STEP * width;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[e.key];
    if (by) {
      cross ??= { x: width / 2, y: height / 2 };
      cross = { x: Math.min(width, Math.max(0, cross.x + by[0])), y: Math.min(height, Math.max(0, cross.y + by[1])) };
      told.cross(cross);
    } else if (e.key === 'Enter' && cross) told.at({ ...cross });
    else return;
    e.preventDefault();
  });
}
