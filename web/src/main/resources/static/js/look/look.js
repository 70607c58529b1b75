// The look room: pressing zones, and the cut through what lies on them.
import { go } from '../live.js';
import { dataIn, el } from '../svg.js';

const THICK = { skin: 86, piece: 96, cap: 16, adhesive: 13, latex: 13, grease: 22, cream: 22, powder: 9, hair: 20, brow: 16 };

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

/** The outer surface of a body of layers: a ridge that thins to a hair at the left edge. */
function ridge(x, width, height, flat) {
  const t = x / width;
  const rise = t < 0.12 ? 0 : (1 - Math.cos(Math.min(1, (t - 0.12) / 0.62) * Math.PI)) / 2;
  const wave = (Math.sin(t * 17) * 2.4 + Math.sin(t * 39) * 1.2) * Math.min(1, height / 60);
  return Math.max(0.4, flat + (height - flat) * rise + wave * rise);
}

/** Draws layers from the skin outwards as a cross-section, with their names beside them. */
function drawCut(place) {
  const layers = dataIn(place);
  const width = place.clientWidth || 470;
  const left = Math.min(190, width * 0.4);
  const scale = Math.min(1, 300 / layers.slice(1).reduce((sum, l) => sum + (THICK[l.kind] ?? 18), 40));
  const thick = layers.map((l) => (l.kind === 'skin' ? THICK.skin : Math.max(6, (THICK[l.kind] ?? 18) * scale)));
  const height = Math.max(thick.reduce((a, b) => a + b, 24), layers.length * 37 + 14);
  const svg = el('svg', { width, height, viewBox: `0 0 ${width} ${height}`, 'aria-hidden': 'true' });
  const floor = height;
  const points = 44;
  const lower = Array(points + 1).fill(0);
  const tops = [];
  layers.forEach((layer, k) => {
    const upper = lower.map((base, p) => {
      const x = (p / points) * left;
      if (layer.kind === 'skin') return thick[k] + Math.sin(p * 0.7) * 1.6;
      const body = layer.kind === 'piece' || layer.kind === 'cap';
      return base + (body ? ridge(x, left, thick[k], 1.2) : thick[k] * (0.8 + 0.2 * Math.sin(p * 0.21 + k)));
    });
    const line = (values) => values.map((v, p) => `${((p / points) * left).toFixed(1)} ${(floor - v).toFixed(1)}`);
    const d = `M${line(upper).join('L')}L${line(lower).reverse().join('L')}Z`;
    svg.append(el('path', { class: `cu cu-${layer.kind}`, d }));
    if (layer.kind === 'piece') cells(svg, lower, upper, left, floor, points);
    if (layer.kind === 'powder') svg.append(el('path', { class: 'cu-dots', d: `M${line(upper.map((u, p) => (u + lower[p]) / 2)).join('L')}` }));
    if (layer.kind === 'skin') for (let x = 18; x < left; x += 34) svg.append(el('path', { class: 'cu-pore', d: `M${x} ${floor - thick[k]}q3 16 0 30` }));
    tops.push((upper[points] + lower[points]) / 2);
    upper.forEach((u, p) => { lower[p] = u; });
  });
  svg.append(el('path', { class: 'c-edge', d: `M${left} ${floor}V${floor - lower[points] - 14}` }));
  names(svg, layers, tops, left, floor, width);
  place.querySelector('svg')?.remove();
  place.append(svg);
}

/** Foam is full of cells. */
function cells(svg, lower, upper, left, floor, points) {
  let seed = 11;
  const next = () => ((seed = (seed * 16807) % 2147483647) / 2147483647);
  for (let k = 0; k < 130; k++) {
    const p = Math.floor(next() * points);
    const [low, high] = [lower[p] + 4, upper[p] - 4];
    if (high - low < 8) continue;
    svg.append(el('circle', { class: 'cu-cells', cx: (p / points) * left, cy: floor - low - next() * (high - low), r: 1.4 + next() * 2.6 }));
  }
}

function names(svg, layers, tops, left, floor, width) {
  const gap = 37;
  const wanted = tops.map((t) => floor - t);
  const ys = [...wanted];
  for (let k = ys.length - 1; k >= 0; k--) {
    const below = k === 0 ? floor - 10 : Infinity;
    ys[k] = Math.min(ys[k], below);
  }
  ys[0] = Math.min(ys[0], floor - 18);
  for (let k = 1; k < ys.length; k++) ys[k] = Math.min(ys[k], ys[k - 1] - gap);
  const over = 14 - ys[ys.length - 1];
  if (over > 0) for (let k = 0; k < ys.length; k++) ys[k] += over * (k / Math.max(1, ys.length - 1));
  layers.forEach((layer, k) => {
    svg.append(el('path', { class: 'c-lead', d: `M${left} ${wanted[k]}L${left + 22} ${ys[k]}h8` }));
    svg.append(el('text', { class: 'c-name', x: left + 36, y: ys[k] + 4 }, layer.name));
    const room = Math.floor((width - left - 36) / 6.4);
    const detail = layer.detail.length > room ? `${layer.detail.slice(0, room - 1)}…` : layer.detail;
    if (detail) svg.append(el('text', { class: 'c-detail', x: left + 36, y: ys[k] + 20 }, detail));
  });
}

/** Fills in what other schools would change; the answer of a room that was left meanwhile is dropped. */
async function fillInsteads(root) {
  const places = [...root.querySelectorAll('[data-instead]')].filter((p) => !p.textContent);
  if (!places.length) return;
  const zones = new URL(location.href).searchParams.get('zones') ?? '';
  const answer = await fetch(`${location.pathname}/insteads?zones=${encodeURIComponent(zones)}`).catch(() => null);
  if (!answer?.ok) return;
  const changes = await answer.json();
  for (const place of places) place.textContent = changes[place.dataset.instead] ?? '';
}

export function mountLook(root) {
  fillInsteads(root);
  root.querySelectorAll('[data-cut]').forEach(drawCut);
  root.querySelectorAll('[data-figure][data-purpose="press"]').forEach((place) => {
    place.addEventListener('zone', (e) => pressZone(e.detail));
  });
}
