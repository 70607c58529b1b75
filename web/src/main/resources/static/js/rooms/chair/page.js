// What every part of the chair's screen uses: its places, and how it says times.

/** The place of this name on the screen. */
export const part = (name) => document.querySelector(`[data-c="${name}"]`);

const two = (n) => String(n).padStart(2, '0');

/** Minutes and seconds, with a sign where the time is over. */
export function countdown(ms) {
  const s = Math.round(Math.abs(ms) / 1000);
  return `${ms < 0 ? '−' : ''}${Math.floor(s / 60)}:${two(s % 60)}`;
}
