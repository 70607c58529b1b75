// The four states and what happens in a zone: one colour, one pattern. Put into the page once; `z-` are at figure scale.
const STATES = {
  wet: '<rect width="5" height="5" fill="var(--lapis-fill)" fill-opacity="var(--tint)"/><path d="M-1 6L6-1M-1 1L1-1M4 6L6 4" stroke="var(--lapis-fill)" stroke-width="1.35" fill="none"/>|5|5',
  tacky:
    '<rect width="7" height="7" fill="var(--verdigris-fill)" fill-opacity="var(--tint)"/><circle cx="1.75" cy="1.75" r="1.35" fill="var(--verdigris-fill)"/><circle cx="5.25" cy="5.25" r="1.35" fill="var(--verdigris-fill)"/>|7|7',
  closing:
    '<rect width="8" height="8" fill="var(--madder-fill)" fill-opacity="var(--tint2)"/><path d="M1 1L4.5 4L1 7M5 1L8.5 4L5 7M-3 1L.5 4L-3 7" stroke="var(--cm)" stroke-width="1.6" fill="none"/>|8|8',
  dry: '<rect width="12" height="8" fill="var(--bone-fill)" fill-opacity=".16"/><path d="M0 4h4l1.5-3M4 4l2 3M8 5l4-1M8 5L9.5 8M8 5L7 2.5" stroke="var(--bone-fill)" stroke-width=".8" fill="none"/>|12|8',
};
const EFFECTS = {
  vanish: '<rect width="10" height="5" fill="var(--chalk)" fill-opacity=".5"/><path d="M0 2.5h7" stroke="var(--chalk)" stroke-width="1.3"/>|10|5',
  reshape:
    '<rect width="10" height="6" fill="var(--ochre-fill)" fill-opacity=".42"/><path d="M0 1.5q2.5 -1.2 5 0t5 0M0 4.5q2.5 1.2 5 0t5 0" stroke="var(--ochre)" stroke-opacity=".62" stroke-width=".65" fill="none"/>|10|6',
  texture:
    '<rect width="9" height="9" fill="var(--sienna-fill)" fill-opacity=".26"/><path d="M0 2l2.5 .8 1.5 -1.5M2.5 2.8l.6 2.6M6 0l.8 3M9 5l-3 1M5.5 9l.8-3M1 7.5l2-.6" stroke="var(--sienna)" stroke-opacity=".85" stroke-width=".55" fill="none"/>|9|9',
  colour: '<rect width="6" height="6" fill="var(--rose-fill)" fill-opacity=".46"/>|6|6',
  cover:
    '<rect width="8" height="8" fill="var(--umber-fill)" fill-opacity=".4"/><path d="M0 0L8 8M8 0L0 8" stroke="var(--umber)" stroke-opacity=".5" stroke-width=".7"/>|8|8',
  need: '<rect width="9" height="9" fill="var(--ochre-fill)" fill-opacity=".3"/><circle cx="4.5" cy="4.5" r="2.6" stroke="var(--ochre)" stroke-width="1" fill="none"/>|9|9',
  fail: '<rect width="14" height="10" fill="var(--madder-fill)" fill-opacity=".3"/><path d="M0 5l3 -4 3 8 3 -6 5 2" stroke="var(--madder)" stroke-width="1.1" fill="none"/>|14|10',
  risk: '<rect width="8" height="8" fill="var(--ochre-fill)" fill-opacity=".22"/><path d="M4 1.5v3M4 6v.4" stroke="var(--ochre)" stroke-width=".9" stroke-linecap="round"/>|8|8',
  bare: '<rect width="6" height="6" fill="var(--chalk)" fill-opacity=".25"/><path d="M1.5 0v6M4.5 0v6" stroke="var(--ochre)" stroke-width="1.1"/>|6|6',
};

// what a material looks like in the cut; its colour lies below
const MATERIALS = {
  foam: '<circle cx="4" cy="4" r="2.6"/><circle cx="11" cy="9" r="3.2"/><circle cx="3.5" cy="12.5" r="1.8"/><circle cx="12" cy="2.5" r="1.5"/>|15|15|1',
  silicone: '<path d="M-2 14L14 -2M6 16L16 6"/>|16|16',
  paste: '<path d="M2 3h2M8 6h2.5M5 10h2M11 12h2M13 2h1.5"/>|15|14',
  fibre: '<path d="M0 3q5 -3 10 1t10 0M0 9q6 3 10 -1t10 1M4 13l9 -3"/>|20|15',
  latex: '<path d="M0 2.5h22"/>|22|5',
  cap: '<path d="M0 2h14"/>|14|4',
  cloth: '<path d="M0 0L6 6M6 0L0 6"/>|6|6',
  adhesive: '<path d="M2 2.5h.1M7 5h.1"/>|10|7|2',
  powder: '<path d="M1 1.5h.1M4 4h.1"/>|6|6|2',
  hair: '<path d="M0 5l14 -5M3 9l14 -5M-4 8l10 -4"/>|14|9',
  brow: '<path d="M0 4l8 -4M4 8l8 -4"/>|9|8',
  grease: '<path d="M0 4q4 -3 8 0t8 0"/>|16|8',
  cream: '<path d="M0 6q8 -4 16 0"/>|16|12',
  water: '<path d="M3 2v2M9 6v2"/>|12|9',
  wash: '<path d="M0 5L5 0"/>|5|5',
  film: '<path d="M0 1.5h9"/>|12|4',
  wax: '<path d="M0 5c5 -6 9 4 15 -1"/>|15|9',
  gel: '<circle cx="5" cy="5" r="2.2"/><circle cx="12" cy="11" r="1.4"/>|16|15|1',
  rigid: '<path d="M0 8L8 0M0 0L8 8"/>|8|8',
  blood: '<path d="M3 1q-2 4 0 5t0 -5M10 6q-2 4 0 5t0 -5"/>|14|13',
  gloss: '<path d="M2 5L6 1"/>|12|8',
};

function pattern(id, source, scale) {
  const [body, width, height] = source.split('|');
  return `<pattern id="${id}" width="${width}" height="${height}" patternUnits="userSpaceOnUse" patternTransform="scale(${scale})">${body}</pattern>`;
}

/** Puts the patterns into the page. */
export function mountPatterns() {
  const small = Object.entries(STATES).map(([id, s]) => pattern(id, s, 1));
  const large = Object.entries({ ...STATES, ...EFFECTS }).map(([id, s]) => pattern(`z-${id}`, s, 14));
  const cut = Object.entries(MATERIALS).map(([id, s]) => {
    const [body, width, height, kind] = s.split('|');
    return `<pattern id="m-${id}" class="mat${kind ?? ''}" width="${width}" height="${height}" patternUnits="userSpaceOnUse">${body}</pattern>`;
  });
  const host = document.createElement('div');
  host.className = 'unseen';
  host.setAttribute('aria-hidden', 'true');
  host.innerHTML = `<svg width="0" height="0"><defs>${small.join('')}${large.join('')}${cut.join('')}</defs></svg>`;
  document.body.append(host);
}
