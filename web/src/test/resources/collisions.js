// What is wrong with how a page lies on its screen, in words: something that scrolls sideways, text that its own box cuts, texts that lie
// over one another, type too small to read. Only what is seen counts: what a scrolled or clipped box hides does not.
() => {
  const found = new Set();
  const root = document.documentElement;
  if (root.scrollWidth > innerWidth + 1) {
    const wide = [...document.querySelectorAll('body *')].find((e) => e.getBoundingClientRect().right > innerWidth + 2 && !e.closest('svg'));
    found.add(`scrolls sideways by ${root.scrollWidth - innerWidth}: ${wide?.outerHTML.slice(0, 80)}`);
  }
  const clip = (element, box) => {
    let { left, top, right, bottom } = box;
    for (let e = element; e && e !== root; e = e.parentElement) {
      const style = getComputedStyle(e);
      if (style.overflowX !== 'visible' || style.overflowY !== 'visible') {
        const own = e.getBoundingClientRect();
        left = Math.max(left, own.left);
        right = Math.min(right, own.right);
        top = Math.max(top, own.top);
        bottom = Math.min(bottom, own.bottom);
      }
    }
    return { left, top, right, bottom };
  };
  for (const e of document.querySelectorAll('main *, header *, nav *')) {
    if (e.closest('svg,.unseen,[hidden],dialog') || !e.checkVisibility({ contentVisibilityAuto: true })) continue;
    const style = getComputedStyle(e);
    if (style.overflowX === 'hidden' && style.textOverflow !== 'ellipsis' && style.webkitLineClamp === 'none' && e.clientWidth > 2 && e.scrollWidth > e.clientWidth + 2 && [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim()))
      found.add(`cut by its own box: ${e.textContent.trim().slice(0, 50)}`);
  }
  // what stands fast while a page is scrolled lies over it on purpose
  const fast = (element) => {
    for (let e = element; e; e = e.parentElement) if (['fixed', 'sticky'].includes(getComputedStyle(e).position)) return e;
    return null;
  };
  const texts = [];
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let n = walk.nextNode(); n; n = walk.nextNode()) {
    const e = n.parentElement;
    if (!n.textContent.trim() || e.closest('script,style,select,option,textarea,.unseen,[hidden],dialog:not([open])')) continue;
    if (!e.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue;
    const inDrawing = e.closest('svg');
    const size = parseFloat(getComputedStyle(e).fontSize);
    if (!inDrawing && size > 0 && size < 11.5) found.add(`too small, ${size} px: ${n.textContent.trim().slice(0, 40)}`);
    const range = document.createRange();
    range.selectNodeContents(n);
    for (const box of range.getClientRects()) {
      const seen = clip(e, box);
      // half of what lies above and below letters is air
      const air = (seen.bottom - seen.top) / 5;
      if (seen.right - seen.left > 2 && seen.bottom - seen.top > 6)
        texts.push({ ...seen, top: seen.top + air, bottom: seen.bottom - air, e, drawn: inDrawing, fast: fast(e), says: n.textContent.trim().slice(0, 40) });
    }
  }
  texts.sort((a, b) => a.top - b.top);
  for (let i = 0; i < texts.length; i++) {
    const a = texts[i];
    for (let k = i + 1; k < texts.length && texts[k].top < a.bottom; k++) {
      const b = texts[k];
      if (a.e === b.e || a.fast !== b.fast || Boolean(a.drawn) !== Boolean(b.drawn)) continue;
      const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
      const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
      if (wide > 3 && high > 3) found.add(`over one another: “${a.says}” and “${b.says}”`);
    }
  }
  return [...found].slice(0, 12);
}
