// The four states and what happens in a zone: one colour, one pattern. Put into the page once; `z-` are at figure scale.
const STATES = {
  wet: '<rect width="5" height="5" fill="var(--lapis-fill)" fill-opacity="var(--tint)"/><path d="M-1 6L6-1M-1 1L1-1M4 6L6 4" stroke="var(--lapis-fill)" stroke-width="1.35" fill="none"/>|5|5',
  tacky: '<rect width="7" height="7" fill="var(--verdigris-fill)" fill-opacity="var(--tint)"/><circle cx="1.75" cy="1.75" r="1.35" fill="var(--verdigris-fill)"/><circle cx="5.25" cy="5.25" r="1.35" fill="var(--verdigris-fill)"/>|7|7',
  closing: '<rect width="8" height="8" fill="var(--madder-fill)" fill-opacity="var(--tint2)"/><path d="M1 1L4.5 4L1 7M5 1L8.5 4L5 7M-3 1L.5 4L-3 7" stroke="var(--cm)" stroke-width="1.6" fill="none"/>|8|8',
  dry: '<rect width="12" height="8" fill="var(--bone-fill)" fill-opacity=".16"/><path d="M0 4h4l1.5-3M4 4l2 3M8 5l4-1M8 5L9.5 8M8 5L7 2.5" stroke="var(--bone-fill)" stroke-width=".8" fill="none"/>|12|8',
};
const EFFECTS = {
  vanish: '<rect width="10" height="5" fill="var(--chalk)" fill-opacity=".5"/><path d="M0 2.5h7" stroke="var(--chalk)" stroke-width="1.3"/>|10|5',
  reshape: '<rect width="10" height="6" fill="var(--ochre-fill)" fill-opacity=".42"/><path d="M0 1.5q2.5 -1.2 5 0t5 0M0 4.5q2.5 1.2 5 0t5 0" stroke="var(--ochre)" stroke-opacity=".62" stroke-width=".65" fill="none"/>|10|6',
  texture: '<rect width="9" height="9" fill="var(--sienna-fill)" fill-opacity=".26"/><path d="M0 2l2.5 .8 1.5 -1.5M2.5 2.8l.6 2.6M6 0l.8 3M9 5l-3 1M5.5 9l.8-3M1 7.5l2-.6" stroke="var(--sienna)" stroke-opacity=".85" stroke-width=".55" fill="none"/>|9|9',
  colour: '<rect width="6" height="6" fill="var(--rose-fill)" fill-opacity=".46"/>|6|6',
  cover: '<rect width="8" height="8" fill="var(--umber-fill)" fill-opacity=".4"/><path d="M0 0L8 8M8 0L0 8" stroke="var(--umber)" stroke-opacity=".5" stroke-width=".7"/>|8|8',
  bare: '<rect width="6" height="6" fill="var(--chalk)" fill-opacity=".25"/><path d="M1.5 0v6M4.5 0v6" stroke="var(--ochre)" stroke-width="1.1"/>|6|6',
};

function pattern(id, source, scale) {
  const [body, width, height] = source.split('|');
  return `<pattern id="${id}" width="${width}" height="${height}" patternUnits="userSpaceOnUse" patternTransform="scale(${scale})">${body}</pattern>`;
}

/** Puts the patterns into the page. */
export function mountPatterns() {
  const small = Object.entries(STATES).map(([id, s]) => pattern(id, s, 1));
  const large = Object.entries({ ...STATES, ...EFFECTS }).map(([id, s]) => pattern(`z-${id}`, s, 14));
  const host = document.createElement('div');
  host.className = 'unseen';
  host.setAttribute('aria-hidden', 'true');
  host.innerHTML = `<svg width="0" height="0"><defs>${small.join('')}${large.join('')}</defs></svg>`;
  document.body.append(host);
}
