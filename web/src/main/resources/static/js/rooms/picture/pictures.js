// Reference pictures: pinned by pressing the body, marked and cropped by pointing at the picture.
import { figureAt } from '../../parts/figure.js';
import { placeOn, pointing } from '../../parts/pointing.js';
import { el } from '../../parts/svg.js';

const HINTS = {
  mark: 'Press a place on the picture to mark it: what is to be seen there, and its colour.',
  first: 'Press one corner of what shall be shown.',
  second: 'And the opposite corner.',
};

const percent = (part, all) => ((100 * part) / all).toFixed(2);

/** Zones with this one added, or taken out where it is among them. */
export const turned = (zones, zone) => (zones.includes(zone) ? zones.filter((z) => z !== zone) : [...zones, zone]);

function mountPin(room) {
  const form = room.querySelector('[data-pin]');
  const figure = room.querySelector('[data-figure]');
  if (!form) return;
  figureAt(figure).pressed = ({ zone }) => {
    const field = form.elements.zones;
    field.value = turned(field.value.split(',').filter(Boolean), zone).join(',');
    form.requestSubmit();
  };
}

function mountPicture(room) {
  const svg = room.querySelector('[data-picture]');
  const mark = room.querySelector('[data-mark]');
  if (!svg || !mark) return;
  const frame = room.querySelector('[data-frame]');
  const button = room.querySelector('[data-crop]');
  const hint = room.querySelector('[data-hint]');
  const { width, height } = svg.viewBox.baseVal;
  const thin = Math.max(width, height) / 400;
  let corner = null;
  svg.setAttribute('tabindex', '0');
  svg.setAttribute('role', 'application');
  svg.setAttribute('aria-describedby', 'p-hint');
  hint.id = 'p-hint';

  const drawn = (cross) => {
    svg.querySelectorAll('.p-cross').forEach((n) => n.remove());
    const lines = [];
    if (corner && cross)
      lines.push(
        el('rect', {
          x: Math.min(corner.x, cross.x),
          y: Math.min(corner.y, cross.y),
          width: Math.abs(cross.x - corner.x),
          height: Math.abs(cross.y - corner.y),
        }),
      );
    if (cross) lines.push(el('path', { d: `M${cross.x} 0V${height}M0 ${cross.y}H${width}` }));
    for (const line of lines) {
      line.setAttribute('class', 'p-cross');
      line.setAttribute('stroke-width', String(thin));
      svg.append(line);
    }
  };
  const crop = (is) => {
    button.setAttribute('aria-pressed', String(is));
    corner = null;
    drawn(null);
    hint.textContent = is ? HINTS.first : HINTS.mark;
  };
  button.addEventListener('click', () => {
    crop(button.getAttribute('aria-pressed') !== 'true');
    svg.focus({ preventScroll: true });
  });
  const send = (form, values) => {
    for (const [name, value] of Object.entries(values)) form.elements[name].value = value;
    form.requestSubmit();
  };
  pointing(svg, {
    cross: drawn,
    at: (place) => {
      if (button.getAttribute('aria-pressed') !== 'true') {
        send(mark, { x: percent(place.x, width), y: percent(place.y, height) });
      } else if (!corner) {
        corner = place;
        hint.textContent = HINTS.second;
        drawn(place);
      } else {
        send(frame, {
          left: percent(corner.x, width),
          top: percent(corner.y, height),
          right: percent(place.x, width),
          bottom: percent(place.y, height),
        });
      }
    },
  });
  svg.addEventListener('pointermove', (e) => {
    if (corner) drawn(placeOn(svg, e));
  });
  svg.addEventListener('keydown', (e) => {
    if (e.key === 'Escape' && button.getAttribute('aria-pressed') === 'true') crop(false);
  });
}

/** The figure is turned to where the picture is seen from. */
async function turn(room) {
  const place = room.querySelector('[data-figure]');
  const figure = place && figureAt(place);
  if (figure && figure.view !== place.dataset.view) figure.show(place.dataset.view);
}

export function mountPicturesRoom(root) {
  const room = root.querySelector('.picturesroom');
  if (!room) return;
  mountPin(room);
  mountPicture(room);
  turn(room);
  // what was chosen is sent at once
  for (const form of room.querySelectorAll('form[data-small]')) form.addEventListener('made-small', () => form.requestSubmit());
}
