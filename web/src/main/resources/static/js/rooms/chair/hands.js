// Blocks of hands: what each pair does now, what it looks for, and the one number worth counting.
import { html } from '../../parts/html.js';
import { momentText } from '../../parts/clock.js';
import { countdown } from './page.js';

/** What these hands are at. */
export function handsBlock(h, state, drive) {
  const mine = h.name === state.mine;
  const step = h.running ?? h.upcoming;
  const says = state.view.onBreak
    ? state.view.pauseWhy === 'break'
      ? 'break'
      : 'waits'
    : h.running
      ? 'now'
      : h.helps
        ? 'helps'
        : step
          ? state.isLater(step)
            ? `waits until ${momentText(step.from)}`
            : 'ready to begin'
          : 'has nothing left';
  const who = html(
    'button',
    {
      type: 'button',
      class: 'c-who',
      'aria-pressed': String(mine),
      'aria-label': `${h.label}, ${says}${mine && state.drivenHere(h) ? '' : '. Press to take control here'}`,
    },
    html('b', {}, h.label),
    html('span', {}, says),
    step?.performer && h.running ? html('em', {}, `${step.performer}`) : null,
    state.drivenHere(h) ? (mine ? null : html('i', {}, 'show')) : html('i', {}, 'drive'),
  );
  who.addEventListener('click', () => drive(h.name));
  const block = html('div', { class: `c-hand${mine ? ' mine' : ''}${h.running ? '' : ' waiting'}` }, who);
  if (state.view.onBreak) {
    block.append(
      html(
        'p',
        { class: 'step' },
        mine ? `${{ break: 'Break', away: 'Away', reaction: 'Stopped' }[state.view.pauseWhy] ?? 'Break'}, until ${momentText(state.view.breakUntil)}` : '—',
      ),
    );
  } else if (h.helps && !h.running) {
    const text = state.helpText(h);
    block.append(html('h2', { class: 'step' }, text));
    block.classList.toggle('helping', text !== h.helps);
    if (step) block.append(html('p', { class: 'c-next' }, 'next ', html('b', {}, step.title), `, ${momentText(step.from)}`));
  } else if (step) {
    block.append(html('h2', { class: 'step' }, step.title, ' ', html('small', {}, step.where)));
    if (h.waitsFor && !h.running && !state.isClosed(step)) block.append(html('p', { class: 'c-test' }, 'Waits for ', html('b', {}, h.waitsFor)));
    if (step.with) block.append(html('p', { class: 'c-test' }, html('b', {}, step.with)));
    if (step.look && !state.waitsLong(h)) block.append(html('p', { class: 'c-test' }, 'Look for ', html('b', {}, step.look)));
    if (mine || h.name === '') step.cautions.slice(0, 1).forEach((c) => block.append(html('p', { class: 'c-caution' }, c)));
    const count = state.countFor(h, step);
    if (count)
      block.append(html('div', { class: `c-left ${count.kind}`, 'data-until': count.until, 'data-kind': count.kind }, html('b', {}), html('span', {})));
  } else {
    block.append(html('p', { class: 'step' }, state.view.allDone ? 'All is done' : 'Rest, or help'));
  }
  if (h.next && !state.view.onBreak && !(h.helps && !h.running))
    block.append(html('p', { class: 'c-next' }, 'next ', html('b', {}, h.next.title), `, ${h.next.hour}`));
  return block;
}

/** Moves the countdowns. */
export function tickHands(now) {
  for (const left of document.querySelectorAll('.c-left')) {
    const rest = Number(left.dataset.until) - now;
    left.querySelector('b').textContent = countdown(rest);
    const kind = left.dataset.kind;
    left.classList.toggle('over', rest < 0);
    if (kind === 'over-now') {
      left.querySelector('b').textContent = 'done';
      left.querySelector('span').textContent = 'the work is finished: press Space';
      continue;
    }
    left.querySelector('span').textContent =
      kind === 'wait'
        ? 'then look, and begin'
        : kind === 'closing'
          ? rest < 0
            ? 'the window has closed: lay it again, or test and go on'
            : 'left to begin; after that, lay it again'
          : rest < 0
            ? 'over its time; A adds two minutes'
            : `planned until ${momentText(Number(left.dataset.until))}`;
  }
}
