// What holds for the whole page.

/** By how much everything is drawn larger on a large screen. */
export const grow = () => Number(getComputedStyle(document.documentElement).getPropertyValue('--grow')) || 1;
