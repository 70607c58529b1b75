// What holds for the whole page.

let grown = 0;
globalThis.addEventListener?.('resize', () => (grown = 0));

/** By how much everything is drawn larger on a large screen. Read once for each size of the window: a page that was just changed is styled anew for it. */
export const grow = () => (grown ||= Number(getComputedStyle(document.documentElement).getPropertyValue('--grow')) || 1);
