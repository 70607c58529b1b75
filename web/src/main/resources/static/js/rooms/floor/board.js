// The floor board: when, how sure, what sort of work. It listens, and says so when it cannot.
const part = (name) => document.querySelector(`[data-b="${name}"]`);

function show(v) {
  if (!v) return;
  part('ready').textContent = v.ready;
  part('call').textContent = v.call;
  part('hand').textContent = v.ended ? 'done' : v.inHand;
  part('hand').classList.toggle('late', v.late && !v.ended);
  part('ready').classList.toggle('late', v.late && !v.ended);
  part('sure').textContent = v.ended ? 'it is done' : `${v.ofTen} of 10 such mornings make the call; 9 of 10 by ${v.sure}`;
  part('doing').textContent = v.doing;
  part('rest').textContent = v.rest || 'none before it is ready';
  part('bar')
    .querySelector('i')
    .style.setProperty('width', `${Math.round((100 * v.done) / Math.max(1, v.steps))}%`);
  part('bar').setAttribute('aria-label', `${v.done} of ${v.steps} steps done`);
}

export function mountBoard() {
  show(JSON.parse(document.querySelector('#board-data').textContent));
  const line = new EventSource(document.body.dataset.board);
  line.addEventListener('now', (e) => show(JSON.parse(e.data)));
  line.onopen = () => {
    part('lost').hidden = true;
  };
  line.onerror = () => {
    part('lost').hidden = false;
  };
}
