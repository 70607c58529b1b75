// Hours as whoever reads is used to: 16:30, or 4:30 pm. The page says which.

const two = (n) => String(n).padStart(2, '0');

/** How the page says hours, days and weeks; without a page the standard. */
export const habit = () => globalThis.document?.documentElement?.dataset ?? {};

/** An hour of the day, 0 to 23, and its minutes. */
export function hourText(hour, minute) {
  if (habit().hours !== 'h12') return `${two(hour)}:${two(minute)}`;
  return `${hour % 12 || 12}:${two(minute)} ${hour < 12 ? 'am' : 'pm'}`;
}

/** The same of a moment of this device's clock. */
export const momentText = (ms) => hourText(new Date(ms).getHours(), new Date(ms).getMinutes());
