// Something more, something less, or something else than was planned: what it costs is said before it is pressed.
import { choose } from './ask.js';

const STRENGTHS = [
  ['Lighter', 'LIGHT'],
  ['As usual', 'USUAL'],
  ['Stronger', 'HEAVY'],
];

const low = (text) => text[0].toLowerCase() + text.slice(1);

/** Changes the look while the run is on. */
export async function more(actions) {
  const { parts = [], waiting = [] } = await actions.line.list('more');
  const what = await choose('Change what?', '', [
    ['Put something more on', 'add', 'a piece, a colour, blood, teeth'],
    ...(waiting.length
      ? [
          ['Leave something off', 'drop', 'of what has not begun'],
          ['Stronger or lighter', 'strength', 'of what has not begun'],
        ]
      : []),
  ]);
  if (what === 'add') add(actions, parts);
  else if (what) other(actions, waiting, what);
}

async function add(actions, parts) {
  const part = await choose(
    'Where?',
    '',
    parts.map((p) => [p.says, p]),
  );
  if (!part) return;
  const offers = await actions.line.list(`more/at?row=${encodeURIComponent(part.row)}`);
  const family = await choose(
    part.says,
    'What is put on?',
    [...new Set(offers.map((o) => o.family))].map((f) => [f, f]),
  );
  if (!family) return;
  const schools = offers.filter((o) => o.family === family);
  const offer =
    schools.length === 1
      ? schools[0]
      : await choose(
          family,
          'How?',
          schools.map((o) => [o.says, o, o.because]),
        );
  if (!offer) return;
  const where =
    offer.where.length === 1
      ? offer.where[0]
      : await choose(
          offer.says,
          'Where exactly?',
          offer.where.map((w) => [w.says, w]),
        );
  if (where) meant(actions, { type: 'ADDITION', version: 2, technique: offer.technique, zones: where.zones }, `${offer.says}, ${where.says.toLowerCase()}`);
}

async function other(actions, waiting, what) {
  const entry = await choose(
    what === 'drop' ? 'Leave what off?' : 'Do what otherwise?',
    'Only what has not begun',
    waiting.map((w) => [w.says, w, w.where]),
  );
  if (!entry) return;
  if (what === 'drop') {
    meant(actions, { type: 'DROP', entry: entry.entry, reason: 'left off in the chair' }, `Without ${entry.says.toLowerCase()}, ${entry.where}`);
    return;
  }
  const strength = await choose(
    entry.says,
    'How strongly?',
    STRENGTHS.filter(([, s]) => s !== entry.strength),
  );
  if (strength) meant(actions, { type: 'STRENGTH', version: 2, entry: entry.entry, strength }, entry.says);
}

/** Says what it would do, and reports it if that is meant. */
async function meant(actions, report, title) {
  const would = await actions.line.would({ id: crypto.randomUUID(), hands: actions.state.mine, ...report });
  if (would.wrong && !would.ready) {
    actions.screen.say(would.wrong);
    return;
  }
  const lines = [
    would.wrong,
    would.comes.length ? `With it: ${would.comes.map(low).join(', ')}.` : '',
    would.goes.length ? `Without: ${would.goes.map(low).join(', ')}.` : '',
    ...would.asks,
  ];
  const yes = await choose(title, lines.filter(Boolean).join('\n'), [
    [`Do it: ready ${would.ready}`, true, would.change],
    ['Leave it as it is', false],
  ]);
  if (yes) actions.send(report);
}
