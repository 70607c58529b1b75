// What everybody must know first, above everything else.
import { html } from '../../parts/html.js';

/** What everybody must know first: a reaction, hands that are missing, the call in danger, minutes to spare. */
export function notice({ state, helps, base, book, send, pull }) {
  const v = state.view;
  if (v.ended)
    return [
      html(
        'div',
        { class: 'c-notice' },
        html('h2', {}, 'The day in the chair is over.'),
        html(
          'p',
          {},
          'Planning the removal is part of the work: ',
          html('a', { href: `${base}/off` }, 'how it comes off'),
          '. ',
          html('a', { href: book }, 'The book'),
          ' keeps what happened.',
        ),
      ),
    ];
  if (v.onBreak && v.pauseWhy === 'reaction') {
    return [
      html(
        'div',
        { class: 'c-notice stop', role: 'alert' },
        html('h2', {}, 'Stop. Skin reacts.'),
        html(
          'p',
          {},
          'Lay nothing more. Take off what lies there with its own remover, rinse, cool. Swelling of lips, eyes or throat, or trouble breathing: call emergency services at once. Go on only when somebody responsible has looked.',
        ),
        html('p', {}, html('a', { href: `${base}/off` }, 'How it comes off fast')),
      ),
    ];
  }
  const missed = state.missed();
  if (missed) return [windowClosed(missed, send)];
  if (v.trouble) return [html('div', { class: 'c-notice stop', role: 'alert' }, html('h2', {}, 'This cannot all be kept'), html('p', {}, v.trouble))];
  if (helps.levers.length && v.inHand < 0) return [levers(state, helps, pull)];
  if (v.spare) return [html('div', { class: 'c-notice calm' }, html('p', {}, v.spare, ' ', html('b', {}, 'E'), ' puts them into the order.'))];
  return [];
}

function windowClosed(c, send) {
  const again = html('button', { type: 'button', class: 'c-lever' }, html('b', {}, 'Lay it again'), html('span', {}, `${c.material}, ${c.where}`));
  again.addEventListener('click', () => send({ type: 'REDO', step: c.step }));
  const on = html('button', { type: 'button', class: 'c-lever' }, html('b', {}, 'Test and go on'), html('span', {}, c.wantedTitle));
  on.addEventListener('click', () => send({ type: 'START', step: c.wanted, sure: true }));
  return html(
    'div',
    { class: 'c-notice stop closed', role: 'alert' },
    html('h2', {}, 'The window has closed'),
    html('p', {}, `${c.material}, ${c.where}, no longer grabs by the clock.`),
    html('div', { class: 'c-levers' }, again, on),
  );
}

/** Two measures as one: by their numbers where both stand above it. */
function names(both, helps) {
  const key = ({ type, entry, technique, coats, reason, skill, room }) => JSON.stringify([type, entry, technique, coats, reason, skill, room]);
  const acts = new Set(both.acts.map(key));
  const parts = helps.levers.map((l, k) => (l.acts.every((act) => acts.has(key(act))) ? k + 1 : 0)).filter(Boolean);
  return parts.length === 2 ? `${parts[0]} and ${parts[1]} together` : both.says;
}

function levers(state, helps, pull) {
  const list = helps.levers.map((l, k) => {
    const button = html(
      'button',
      { type: 'button', class: 'c-lever' },
      html('u', {}, String(k + 1)),
      html('b', {}, l.saves),
      html('span', {}, l.says, html('small', {}, [l.costs, l.risk].filter(Boolean).join('; '))),
    );
    button.addEventListener('click', () => pull(l));
    return button;
  });
  const both = helps.together;
  if (both) {
    const button = html(
      'button',
      { type: 'button', class: 'c-lever both' },
      html('u', {}, 'Enter'),
      html('span', {}, `${names(both, helps)}: ready ${both.ready}`),
    );
    button.addEventListener('click', () => pull(both));
    list.push(button);
  }
  return html(
    'div',
    { class: 'c-levers', role: 'group', 'aria-label': 'What still brings minutes back' },
    html('h2', {}, `${state.view.inHandText}. These bring minutes back:`),
    ...list,
  );
}
