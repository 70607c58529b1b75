// The look room: pressing zones, and the cut through what lies on them.
import { figureAt } from '../../parts/figure.js';
import { go } from '../../parts/live.js';
import { standing } from '../../parts/standing.js';
import { dataIn, el } from '../../parts/svg.js';
import { mountFind } from './find.js';

// how many pixels a millimetre takes: films would be thinner than a hair if they were drawn like forms
const FORM = 46;
const FILM = 1150;
const BODY = 74;

/** Selects a zone; with keep it is added to, or taken from, what is selected. */
export function pressZone({ zone, keep }) {
  const address = new URL(location.href);
  const now = (address.searchParams.get('zones') ?? '').split(',').filter(Boolean);
  let next = [zone];
  if (keep) next = now.includes(zone) ? now.filter((z) => z !== zone) : [...now, zone];
  else if (now.length === 1 && now[0] === zone) next = [];
  if (next.length) address.searchParams.set('zones', next.join(','));
  else address.searchParams.delete('zones');
  go(address.href);
}

/** The outer surface of a form: a ridge that thins to a hair at the left edge. */
function ridge(x, width, height) {
  const t = x / width;
  const rise = t < 0.1 ? 0 : (1 - Math.cos(Math.min(1, (t - 0.1) / 0.6) * Math.PI)) / 2;
  const wave = (Math.sin(t * 17) * 2.2 + Math.sin(t * 39) * 1.1) * Math.min(1, height / 60);
  return Math.max(0.5, height * rise + wave * rise);
}

const thickness = (row) => (row.form ? Math.min(120, Math.max(12, row.mm * FORM)) : Math.min(34, Math.max(7, row.mm * FILM)));

// the cut is drawn when its names have been laid out, and again when they lie elsewhere
const cuts = new ResizeObserver((seen) => seen.forEach((s) => s.target.isConnected && drawCut(s.target)));

/** Draws the layers as a cross-section beside their names: the body at the bottom, a leader from every layer to its name. */
function drawCut(place) {
  place.querySelector(':scope > svg')?.remove();
  const rows = dataIn(place);
  const names = [...place.querySelectorAll('.strata > li')];
  const list = place.querySelector('.strata');
  const left = list.offsetLeft - 34;
  if (left < 60) return;
  const height = Math.max(list.offsetHeight, 150);
  const inward = rows.length - 1;
  const wanted = rows.slice(0, inward).map(thickness);
  const scale = Math.min(
    1,
    (height - BODY - 26) /
      Math.max(
        1,
        wanted.reduce((a, b) => a + b, 0),
      ),
  );
  const svg = el('svg', { width: left + 34, height, viewBox: `0 0 ${left + 34} ${height}`, 'aria-hidden': 'true' });
  const points = 46;
  const at = (p) => (p / points) * left;
  let lower = Array(points + 1).fill(0);
  for (let k = inward; k >= 0; k--) {
    const row = rows[k];
    const thick = k === inward ? BODY : Math.max(5, wanted[k] * scale);
    const upper = lower.map(
      (base, p) =>
        base + (k === inward ? thick + Math.sin(p * 0.7) * 1.4 : row.form ? ridge(at(p), left, thick) : thick * (0.82 + 0.18 * Math.sin(p * 0.21 + k))),
    );
    const line = (values) => values.map((v, p) => `${at(p).toFixed(1)} ${(height - v).toFixed(1)}`);
    const d = `M${line(upper).join('L')}L${line(lower).reverse().join('L')}Z`;
    const layer = el('path', { class: `cu cu-${row.kind}`, d });
    // the colour that the look has there, where it is known
    if (row.colour) layer.style.fill = row.colour;
    svg.append(layer, el('path', { class: 'cu-p', d, fill: `url(#m-${row.kind})` }));
    if (k === inward) for (let x = 18; x < left; x += 34) svg.append(el('path', { class: 'cu-pore', d: `M${x} ${height - thick}q3 16 0 30` }));
    const middle = height - (upper[points] + lower[points]) / 2;
    const named = names[k].offsetTop - list.offsetTop + 11;
    svg.append(el('path', { class: 'c-lead', d: `M${left} ${middle.toFixed(1)}L${left + 20} ${named}h9` }));
    if (row.mark && k !== inward) svg.append(mark(row.mark, left, height - lower[points]));
    lower = upper;
  }
  svg.append(el('path', { class: 'c-edge', d: `M${left} ${height}V${height - lower[points] - 12}` }));
  place.prepend(svg);
}

/** The verdict on a boundary: staples hold, an open ring wants something, a crack will fail. */
function mark(word, x, y) {
  if (word === 'holds') return el('path', { class: 'c-hold', d: `M${x - 13} ${y - 5}v10M${x - 9} ${y - 5}v10M${x - 5} ${y - 5}v10` });
  if (word === 'need') return el('circle', { class: 'c-need', cx: x, cy: y, r: 6 });
  return el('path', { class: 'c-fail', d: `M${x - 16} ${y}l6-7 5 14 5-11 8 6` });
}

/** Fills in what other schools would change; the answer of a room that was left meanwhile is dropped. */
async function fillInsteads(root) {
  const places = [...root.querySelectorAll('[data-instead]')];
  if (!places.length) return;
  await standing(places[0]);
  const zones = new URL(location.href).searchParams.get('zones') ?? '';
  const answer = await fetch(`${location.pathname}/insteads?zones=${encodeURIComponent(zones)}`).catch(() => null);
  if (!answer?.ok) return;
  const changes = await answer.json();
  for (const place of places) {
    place.textContent = changes[place.dataset.instead] ?? '';
    delete place.dataset.instead;
  }
}

const AT_ONCE = 8;

/** Says what each offer would cost, a few at a time, where a group of them is open. */
async function fillAdditions(group) {
  const zones = new URL(location.href).searchParams.get('zones') ?? '';
  for (;;) {
    const places = [...group.querySelectorAll('[data-addition]')].filter((p) => !p.dataset.asked && !p.closest('[hidden]')).slice(0, AT_ONCE);
    if (!places.length || !group.open || !group.isConnected) return;
    for (const place of places) place.dataset.asked = '1';
    const asked = places.map((p) => p.dataset.addition).join(',');
    const answer = await fetch(`${location.pathname}/additions?zones=${encodeURIComponent(zones)}&techniques=${encodeURIComponent(asked)}`).catch(() => null);
    if (!answer?.ok) return;
    const changes = await answer.json();
    for (const place of places) place.textContent = changes[place.dataset.addition] ?? '';
  }
}

/** Fetches what lies in the families that an answer left out, with the whole page, and puts it into them. */
async function fetchLater(root) {
  const later = [...root.querySelectorAll('[data-later]')];
  if (!later.length) return;
  const answer = await fetch(location.href).catch(() => null);
  if (!answer?.ok) return;
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  for (const group of later) {
    if (!('later' in group.dataset)) continue;
    delete group.dataset.later;
    group.append(...page.querySelectorAll(`[data-group="${group.dataset.group}"] .offer-family`));
  }
}

export function mountLook(root) {
  const filled = fillInsteads(root);
  for (const group of root.querySelectorAll('.offers-of')) {
    const looked = async () => {
      if (!group.open) return;
      if ('later' in group.dataset) await fetchLater(root);
      await filled;
      fillAdditions(group);
    };
    looked();
    group.addEventListener('toggle', looked);
  }
  const find = root.querySelector('.offer-find [data-filter]');
  find?.addEventListener('focus', () => fetchLater(root).then(() => find.value && find.dispatchEvent(new Event('input'))));
  mountFind(root);
  cuts.disconnect();
  root.querySelectorAll('[data-cut]').forEach((place) => cuts.observe(place));
  root.querySelectorAll('[data-figure][data-purpose="press"]').forEach((place) => (figureAt(place).pressed = pressZone));
}
