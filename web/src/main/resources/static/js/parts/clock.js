// Hours as whoever reads is used to: 16:30, or 4:30 pm. The page says which.

const two = (n) => String(n).padStart(2, '0');

/** How the page says hours, days and weeks; without a page the standard. */
export const habit = () => globalThis.document?.documentElement?.dataset ?? {};

/** An hour of the day, 0 to 23, and its minutes. */
export function hourText(hour, minute) {
  if (habit().hours !== 'h12') return `${two(hour)}:${two(minute)}`;
  return `${hour % 12 || 12}:${two(minute)} ${hour < 12 ? 'am' : 'pm'}`;
}

const walls = {};

/** The same of a moment, as the clock on the house's wall says it, wherever this device believes to be. */
export function momentText(ms) {
  const zone = habit().zone;
  walls[zone] ??= new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: 'numeric', minute: 'numeric', hourCycle: 'h23' });
  const parts = Object.fromEntries(walls[zone].formatToParts(ms).map((p) => [p.type, Number(p.value)]));
  return hourText(parts.hour, parts.minute);
}
