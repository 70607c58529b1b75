import { el } from '../../parts/svg.js';

/** What a film does after its step, as a wedge that sinks into the row: wet, tacky, closing. */
export function wedge(step, s, ground) {
  const parts = [];
  const end = step.settled;
  const at = (m) => ground - 16 + (13 * (m - step.to)) / Math.max(0.1, end - step.to);
  const piece = (cls, a, b) => parts.push(el('path', { class: cls, d: `M${s.x(a)} ${ground}V${at(a)}L${s.x(b)} ${at(b)}V${ground}Z` }));
  const tacky = step.tacky ?? end;
  piece('or-wet', step.to, Math.min(tacky, end));
  if (tacky < end) {
    const closing = step.closes === null ? end : Math.max(tacky, Math.min(end, step.closes - 2));
    piece('or-tacky', tacky, closing);
    if (closing < end) piece('or-closing', closing, end);
  }
  return parts;
}
