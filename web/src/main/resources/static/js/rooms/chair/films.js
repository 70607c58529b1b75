// Blocks of films: what is wet, what may be touched, and when to look.
import { html } from '../../parts/html.js';
import { el } from '../../parts/svg.js';
import { countdown, part } from './page.js';
import { stateOf } from './state.js';

/** All films that are open or wait for a look, and what rests besides. */
export function clockBlocks(state, send) {
  const now = state.now();
  const isDry = (c) => stateOf(c, now).state === 'dry';
  const open = state.view.clocks.filter((c) => !isDry(c));
  const look = state.view.clocks.filter((c) => !c.confirmed && isDry(c)).slice(0, 2);
  const dry = state.view.clocks.filter((c) => isDry(c) && !look.includes(c));
  const blocks = [...look, ...open].slice(0, 5).map((c, k) => clockBlock(c, k === 0, state, send));
  if (dry.length) {
    const where = dry
      .slice(0, 3)
      .map((c) => c.where)
      .join('; ');
    blocks.push(
      html(
        'div',
        { class: 'c-clock dry' },
        html('p', { class: 'z' }, where + (dry.length > 3 ? ` and ${dry.length - 3} more` : '')),
        html('p', { class: 'w' }, 'dry'),
        html('p', { class: 'l' }, 'free to touch'),
      ),
    );
  }
  if (state.view.rest && !state.view.onBreak) {
    blocks.push(
      html(
        'div',
        { class: 'c-clock dry' },
        html('p', { class: 'z' }, 'break'),
        html('p', { class: 'w' }, state.view.rest.hour),
        html('p', { class: 'l' }, 'drink, stretch'),
      ),
    );
  }
  if (!blocks.length) blocks.push(html('p', { class: 'c-empty' }, 'Nothing is drying.'));
  blocks.push(html('p', { class: 'c-room' }, `counted for ${state.view.room}`));
  return blocks;
}

function clockBlock(c, asks, state, send) {
  const block = html(
    'div',
    { class: `c-clock ${c.state}`, 'data-step': c.step },
    html('p', { class: 'z' }, `${c.where}`),
    html('p', { class: 'w' }),
    html('p', { class: 'n' }),
  );
  block.append(threadOf(c));
  block.append(html('p', { class: 'l' }, `${c.material}: `, html('b', {}, c.look || 'dry to the touch')));
  if (asks && !state.view.ended) {
    const ask = html('div', { class: 'ask' });
    const presses = [
      ['C', 'clear', 'CLEAR'],
      ['N', 'not yet', 'NOT_YET'],
    ];
    if (c.dryer && c.state !== 'dry') presses.push(['D', c.blown ? 'dryer off' : 'dryer on', 'DRYER']);
    for (const [key, label, type] of presses) {
      const button = html('button', { type: 'button' }, html('u', {}, key), label);
      button.addEventListener('click', () => send({ type, step: c.step }));
      ask.append(button);
    }
    block.append(ask);
  }
  return block;
}

/** A thread of the states this film really has, with a needle at now. */
function threadOf(c) {
  const width = Math.max(180, part('clocks').clientWidth - 6);
  const end = c.closes ?? c.clear;
  const span = Math.max(1, (end - c.laid) * 1.25);
  const x = (at) => Math.max(0, Math.min(width, ((at - c.laid) / span) * width));
  const svg = el('svg', { width, height: 22, viewBox: `0 0 ${width} 22`, 'aria-hidden': 'true' });
  const piece = (cls, a, b) => svg.append(el('rect', { class: cls, x: x(a), y: 8, width: Math.max(0, x(b) - x(a) - 1), height: 13 }));
  const tacky = c.tacky ?? c.clear;
  piece('cs-wet', c.laid, tacky);
  if (c.tacky) {
    const closing = c.closes ? Math.max(tacky, c.closes - 120000) : c.clear;
    piece('cs-tacky', tacky, closing);
    if (c.closes) piece('cs-closing', closing, c.closes);
  }
  piece('cs-dry', end, c.laid + span);
  svg.append(
    el(
      'g',
      { 'data-needle': '1' },
      el('rect', { class: 'cs-past', x: 0, y: 8, width: 0, height: 13 }),
      el('path', { class: 'cs-needle', d: 'M0 2V22' }),
      el('path', { class: 'cs-head', d: 'M-7 0h14l-7 8z' }),
    ),
  );
  svg.place = x;
  return svg;
}

/** Moves the clock and the needle of a film. */
export function tickClock(c, now) {
  const block = part('clocks').querySelector(`[data-step="${CSS.escape(c.step)}"]`);
  if (!block) return;
  const { state, until, says } = stateOf(c, now);
  block.className = `c-clock ${state}`;
  block.querySelector('.w').textContent = c.blown && state !== 'dry' ? `${says}, dryer on` : says;
  block.querySelector('.n').textContent = until ? countdown(until - now) : '';
  const needle = block.querySelector('[data-needle]');
  const x = block.querySelector('svg').place(now);
  needle.querySelector('.cs-past').setAttribute('width', x);
  needle.querySelectorAll('path').forEach((p) => p.setAttribute('transform', `translate(${x} 0)`));
}
