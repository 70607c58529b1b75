// Draws the ribbon, everywhere: hands solid, drying as sinking wedges, windows as brackets, breaks as gaps with a cup.
import { dataIn, el, hour, widthOf } from './svg.js';

/** How wide the call's flag is, by what it says. */
const flagOf = (ribbon) => 57 + 7 * (ribbon.callText ?? '07:45').length;

let before = null;

/** What the strip that stands there was drawn from, where it bears no marks. */
let shown = '';

/** Where minutes lie: x0 is chair-in, on every bench room. */
export function scale(ribbon, width, x0 = width < 900 ? 20 : 214) {
  const end = Math.max(ribbon.call, ribbon.ready, ribbon.sure ?? 0) + 15;
  // room is kept for the flag right of the call
  const perMinute = Math.max(1.2, Math.min((width - x0 - 10) / end, (width - x0 - 6 - flagOf(ribbon)) / Math.max(60, ribbon.call)));
  return { x0, perMinute, end, right: width, x: (minute) => x0 + minute * perMinute };
}

function pinked(width, top, foot) {
  const teeth = 8;
  const step = (foot - top) / teeth / 2;
  let d = `M0 ${top}H${width - 10}`;
  for (let k = 0; k < teeth; k++) d += `l-6 ${step}l6 ${step}`;
  return `${d}H0Z`;
}

/** What the wall says so many minutes after chair-in; on a night whose clocks change it is ahead, or behind, from then on. */
const wall = (ribbon, m) => ribbon.clock + m + (ribbon.turn && m >= ribbon.turn.at ? ribbon.turn.by : 0);

function ticks(ribbon, s, top, group) {
  const first = -(ribbon.clock % 5);
  for (let m = first; m <= s.end; m += 5) {
    const at = ribbon.clock + m;
    const quarter = at % 15 === 0;
    if (s.x(m) < 0) continue;
    group.append(el('path', { class: 'rb-tick', d: `M${s.x(m)} ${top}v${quarter ? 8 : 4}` }));
    const labelled = s.perMinute * 15 > 46 ? quarter : at % 60 === 0;
    if (labelled && m > 1 && s.x(m) < s.right - 48) group.append(el('text', { class: 'rb-hour', x: s.x(m) + 3.5, y: top + 13 }, hour(wall(ribbon, m))));
  }
}

function blocks(row, index, y, height, s, group, changed) {
  for (const block of row.blocks) {
    const width = Math.max(1, (block.to - block.from) * s.perMinute - 1);
    const classes = `rb-block h${index}${changed?.has(block.id) ? ' changed' : ''}`;
    group.append(el('rect', { class: classes, x: s.x(block.from), y, width, height }, el('title', {}, block.title)));
    const label = fitting(block.label, width - 7);
    if (label && height > 14) group.append(el('text', { class: `rb-text h${index}`, x: s.x(block.from) + 4, y: y + 14 }, label));
  }
}

function fitting(label, width) {
  if (widthOf(label, 12) <= width) return label;
  const first = label.split(' ')[0];
  return first.length > 2 && widthOf(first, 12) <= width ? first : '';
}

function cup(x, y, group) {
  group.append(
    el(
      'g',
      { class: 'rb-cup', transform: `translate(${x} ${y})` },
      el('path', { d: 'M-9 0h16v7q0 6-6 6h-4q-6 0-6-6zM7 2q6 0 5 4t-6 3M-4-4q-2-3 0-5M2-4q-2-3 0-5' }),
    ),
  );
}

/** Steps whose start moved by more than a minute since the strip was last drawn on this page. */
function moved(ribbon) {
  if (!before) return null;
  const was = new Map(before.rows.flatMap((r) => r.blocks.map((b) => [b.id, b.to - b.from])));
  const ids = new Set();
  ribbon.rows.forEach((r) =>
    r.blocks.forEach((b) => {
      const length = was.get(b.id);
      if (length === undefined || Math.abs(length - (b.to - b.from)) > 0.6) ids.add(b.id);
    }),
  );
  return ids.size > 12 ? null : ids;
}

function draw(place, width, ribbon, changed, was) {
  const s = scale(ribbon, width);
  const top = 26;
  const hands = ribbon.rows.length;
  const step = hands > 2 ? 18 : 22;
  const foot = top + 16 + hands * step + 34;
  const svg = el('svg', { width, height: foot + 4, viewBox: `0 0 ${width} ${foot + 4}`, 'aria-hidden': 'true' });
  svg.append(
    el('path', { class: 'rb-tape', d: pinked(width, top, foot) }),
    el('path', { class: 'rb-edge', d: `M0 ${top}H${width - 10}M0 ${foot}H${width - 10}` }),
  );
  ticks(ribbon, s, top, svg);
  ribbon.rows.forEach((row, k) => {
    const y = top + 17 + k * step;
    if (s.x0 > 100) svg.append(el('text', { class: 'rb-name', x: s.x0 - 12, y: y + 15 }, row.name));
    svg.append(el('path', { class: 'rb-rule', d: `M${s.x0} ${y + step - 2}H${s.x(ribbon.call)}` }));
    blocks(row, k, y, step - 3, s, svg, changed);
  });
  const ground = foot - 4;
  if (s.x0 > 100 && hands) svg.append(el('text', { class: 'rb-name', x: s.x0 - 12, y: ground - 4 }, 'dries by itself'));
  for (const film of ribbon.films) {
    const [a, b] = [s.x(film.from), s.x(film.to)];
    svg.append(el('path', { class: 'rb-film', d: `M${a} ${ground}V${ground - 19}L${b} ${ground - 3}V${ground}Z` }));
  }
  for (const w of ribbon.windows) {
    svg.append(el('path', { class: 'rb-window', d: `M${s.x(w.from)} ${ground - 19}v-4H${s.x(w.to)}v4` }));
  }
  for (const away of ribbon.away) {
    const [a, b] = [s.x(away.from), s.x(away.to)];
    svg.append(el('path', { class: 'rb-away', d: `M${a} ${top + 18}H${b}V${foot - 34}H${a}Z` }));
    if (b - a > 56) svg.append(el('text', { class: 'rb-hour', x: a + 5, y: top + 33 }, 'costume'));
  }
  for (const rest of ribbon.rests) {
    svg.append(el('path', { class: 'rb-rest', d: `M${s.x(rest.from)} ${top + 8}V${foot - 2}M${s.x(rest.to)} ${top + 8}V${foot - 2}` }));
    cup(s.x((rest.from + rest.to) / 2) - 1, top + 36, svg);
  }
  for (const held of ribbon.held ?? []) {
    const [x, y] = [s.x(held.at), top - 5];
    svg.append(el('path', { class: 'rb-nail', d: `M${x - 4} ${y - 8}h9l-2.6 3.4v3h3l-5 6-5-6h3v-3z` }));
    if (held.costs) svg.append(el('text', { class: 'rb-costs', x: x + 8, y: y - 1 }, held.costs));
  }
  flags(ribbon, s, svg, top, foot, was, width);
  place.replaceChildren(svg);
}

/** Where the flag of the call hangs: right of its pole, or left of it where there is no room. */
function callFlag(ribbon, s, width) {
  const call = s.x(ribbon.call);
  return call + flagOf(ribbon) > width - 4 ? call - flagOf(ribbon) : call;
}

function flags(ribbon, s, svg, top, foot, was, width) {
  if (ribbon.chairIn) {
    svg.append(el('path', { class: 'rb-pole', d: `M${s.x0} 8V${foot}` }));
    const text = el('text', { class: 'rb-flag', x: s.x0 - 6, y: 19, 'text-anchor': 'end' }, 'chair-in');
    if (s.x0 > 100) svg.append(text);
    svg.append(el('text', { class: 'rb-flag b', x: s.x0 + 6, y: 19 }, ribbon.chairIn));
    const most = Math.max(...ribbon.smear.map((m) => m.mornings), 1);
    for (const m of ribbon.smear) {
      const height = 44 * (m.mornings / most);
      svg.append(el('path', { class: 'rb-smear', d: `M${s.x(m.minute + 0.5)} ${foot - 2}v${-height}` }));
    }
    if (was !== null && Math.abs(was - ribbon.ready) > 0.4) svg.append(el('path', { class: 'rb-pole was', d: `M${s.x(was)} ${top}V${foot}` }));
    const ready = s.x(ribbon.ready);
    svg.append(el('path', { class: 'rb-pole', d: `M${ready} 8V${foot}` }));
    const call = callFlag(ribbon, s, width);
    const hidden = ready - 150 < call + flagOf(ribbon) && ready > call;
    const side = hidden ? { x: call - 6, 'text-anchor': 'end' } : { x: ready - 6, 'text-anchor': 'end' };
    // right of the hour of chair-in; where there is no room for all of it the hour alone, or none
    const room = side.x - s.x0 - 16 - widthOf(ribbon.chairIn, 15);
    const label = el('text', { class: 'rb-flag', ...side, y: 19 }, widthOf(`ready, likely ${ribbon.readyText}`, 15) < room ? 'ready, likely ' : '');
    if (widthOf(ribbon.readyText, 15) < room) label.append(el('tspan', { class: 'rb-flag b' }, ribbon.readyText));
    svg.append(label);
    if (ribbon.sure !== null && s.x(ribbon.sure) - ready > 10) {
      const nine = s.x(ribbon.sure);
      svg.append(el('path', { class: 'rb-pole nine', d: `M${nine} ${top + 46}V${foot}` }));
      // left of it where there is no room on the right, or the pole of the call would stand in it
      const pole = s.x(ribbon.call);
      const crossed = pole > nine - 2 && pole < nine + 62;
      const beside = nine + 62 > width - 12 || crossed ? { x: nine - 6, 'text-anchor': 'end' } : { x: nine + 6 };
      svg.append(
        el('text', { class: 'rb-flag over', ...beside, y: foot - 20 }, '9 of 10'),
        el('text', { class: 'rb-flag b over', ...beside, y: foot - 4 }, ribbon.sureText),
      );
    }
  }
  const call = s.x(ribbon.call);
  const left = callFlag(ribbon, s, width);
  svg.append(
    el('path', { class: 'rb-pole call', d: `M${call} 2V${foot}` }),
    el('path', { class: 'rb-callflag', d: `M${left} 2h${flagOf(ribbon)}l-7 9.5l7 9.5h${-flagOf(ribbon)}z` }),
    el('text', { class: 'rb-calltext', x: left + 9, y: 17 }, `call ${ribbon.callText}`),
  );
}

/** Width of a letter of a name, px. */
const LETTER = 8.4;

/** Draws a narrow strip: no names, no words. */
export function drawMini(place, ribbon, options = {}) {
  const width = place.clientWidth || 700;
  const height = options.height ?? 44;
  // one pair of hands needs no name beside it; names of more stand before everything that is drawn
  const named = options.names && ribbon.rows.length > 1;
  const x0 = named ? 20 + Math.min(170, LETTER * Math.max(...ribbon.rows.map((r) => r.name.length))) : 12;
  const s = scale(ribbon, width, x0);
  const svg = el('svg', { width, height, viewBox: `0 0 ${width} ${height}`, 'aria-hidden': 'true' });
  const top = options.names ? 4 : 2;
  svg.append(el('path', { class: 'rb-tape', d: `M0 ${top}H${width}V${height - 4}H0Z` }));
  if (options.names) {
    for (let m = -(ribbon.clock % 5); m <= s.end; m += 5) {
      const at = ribbon.clock + m;
      if (m < 0) continue;
      svg.append(el('path', { class: 'rb-tick', d: `M${s.x(m)} ${top}v${at % 30 === 0 ? 9 : 5}` }));
      if (at % 30 === 0) svg.append(el('text', { class: 'rb-hour big', x: s.x(m) + 5, y: top + 16 }, hour(wall(ribbon, m))));
    }
  }
  const rows = ribbon.rows.length || 1;
  const room = height - top - 10 - (options.names ? 18 : 4);
  const step = room / rows;
  ribbon.rows.forEach((row, k) => {
    const y = top + (options.names ? 22 : 6) + k * step;
    if (named) svg.append(el('text', { class: 'rb-hour big', x: 8, y: y + step - 5 }, row.name));
    for (const b of row.blocks) {
      svg.append(
        el('rect', {
          class: `rb-block h${k}${options.now !== undefined && b.to <= options.now ? ' past' : ''}`,
          x: s.x(b.from),
          y,
          width: Math.max(1, (b.to - b.from) * s.perMinute - 1),
          height: Math.max(4, step - 3),
        }),
      );
    }
  });
  for (const rest of ribbon.rests) cup(s.x((rest.from + rest.to) / 2), height / 2 - 2, svg);
  if (ribbon.chairIn) svg.append(el('path', { class: 'rb-pole', d: `M${s.x(ribbon.ready)} 0V${height}` }));
  svg.append(el('path', { class: 'rb-pole call', d: `M${s.x(ribbon.call)} 0V${height}` }));
  if (options.now !== undefined) {
    const x = s.x(options.now);
    svg.append(el('path', { class: 'rb-needle', d: `M${x} 4V${height}` }), el('path', { class: 'rb-needlehead', d: `M${x - 8} 0h16l-8 9z` }));
  }
  place.replaceChildren(svg);
}

// a strip is drawn as wide as the last one, before the room is laid out; where that was wrong, again before anybody sees it
let drawn = { width: 0 };
const widths = new ResizeObserver((seen) => {
  const place = seen.at(-1).target;
  if (place.clientWidth && place.clientWidth !== drawn.width) strip(place, place.clientWidth, drawn.what);
});

function strip(place, width, what) {
  drawn = { width, what };
  draw(place, width, ...what);
}

/** Draws the page's strip from the data beside it, marking what changed since it was last drawn. */
export function mountRibbon(root, keepBefore = true) {
  const place = root.querySelector('[data-ribbon=""]');
  const data = root.querySelector('#ribbon-data');
  if (place && data) {
    const ribbon = JSON.parse(data.textContent);
    const was = before && before.chairIn === ribbon.chairIn ? before.ready : null;
    const changed = keepBefore ? moved(ribbon) : null;
    const isMarked = Boolean(changed?.size) || (was !== null && was !== ribbon.ready);
    // one that stands there and says the same, with no mark of what the last press changed, need not be drawn again
    if (isMarked || shown !== data.textContent || !place.firstChild || !keepBefore) {
      strip(place, drawn.width || place.clientWidth || 1280, [ribbon, changed, was]);
      widths.disconnect();
      widths.observe(place);
      shown = isMarked ? '' : data.textContent;
    }
    before = ribbon;
  }
  for (const mini of root.querySelectorAll('[data-ribbon="mini"]')) {
    const own = dataIn(mini);
    if (own) drawMini(mini, own);
  }
}
