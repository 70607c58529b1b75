import { dataIn, el } from '../../parts/svg.js';
import { widthIn } from '../../parts/width.js';

/** How often the call is made, by when the performer sits down. */
export function drawStartBy(place) {
  const points = dataIn(place);
  const [width, height] = [Math.min(360, widthIn(place, () => drawStartBy(place)) || 340), 132];
  const [left, right, top, foot] = [62, width - 14, 10, height - 24];
  const x = (shift) => left + ((shift + 30) / 60) * (right - left);
  const y = (share) => foot - (share / 100) * (foot - top);
  const svg = el('svg', { width, height, viewBox: `0 0 ${width} ${height}`, 'aria-hidden': 'true' });
  const line = points.map((p) => `${x(p.shift).toFixed(1)} ${y(p.ofHundred).toFixed(1)}`).join('L');
  svg.append(el('path', { class: 'sb-fill', d: `M${line}L${right} ${foot}L${left} ${foot}Z` }));
  for (const [share, says] of [
    [90, '9 of 10'],
    [50, '1 of 2'],
  ]) {
    svg.append(
      el('path', { class: 'sb-dot', d: `M${left} ${y(share)}H${right}` }),
      el('text', { class: 'sb-text', x: left - 6, y: y(share) + 4, 'text-anchor': 'end' }, says),
    );
  }
  svg.append(el('path', { class: 'sb-curve', d: `M${line}` }), el('path', { class: 'sb-axis', d: `M${left} ${foot}H${right}` }));
  for (const p of points) {
    if (p.shift % 20 === 0 || p.shift === 30 || p.shift === -30) {
      if (Math.abs(p.shift) === 30) continue;
      svg.append(el('text', { class: 'sb-text', x: x(p.shift), y: foot + 17, 'text-anchor': 'middle' }, p.hour));
    }
  }
  const sure = [...points].reverse().find((p) => p.ofHundred >= 90);
  if (sure) svg.append(el('circle', { class: 'sb-on', cx: x(sure.shift), cy: y(sure.ofHundred), r: 5 }));
  const now = points.find((p) => p.shift === 0);
  svg.append(
    el('circle', { class: 'sb-now', cx: x(0), cy: y(now.ofHundred), r: 5 }),
    el('text', { class: 'sb-bold', x: x(0) + 9, y: Math.max(top + 22, y(now.ofHundred) - 7) }, `${now.hour} now`),
  );
  place.querySelector('svg')?.remove();
  place.append(svg);
}
