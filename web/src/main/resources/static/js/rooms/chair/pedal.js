// A stand-in for a foot pedal, and the key that a real one sends.
export function mountPedal() {
  const said = document.querySelector('[data-said]');
  for (const tread of document.querySelectorAll('[data-hands]')) {
    tread.addEventListener('click', async () => {
      const header = document.querySelector('meta[name="csrf-header"]').content;
      const token = document.querySelector('meta[name="csrf-token"]').content;
      const answer = await fetch(`${document.body.dataset.pedal}?hands=${encodeURIComponent(tread.dataset.hands)}&press=${crypto.randomUUID()}`, {
        method: 'POST',
        headers: { [header]: token },
      }).catch(() => null);
      said.textContent = answer?.ok ? `Sent for ${tread.dataset.hands}.` : 'The server does not answer.';
    });
  }
  const field = document.querySelector('[data-key-of-pedal]');
  field.value = localStorage.getItem('pedal') ?? '';
  field.addEventListener('keydown', (e) => {
    if (e.key === 'Tab') return;
    e.preventDefault();
    localStorage.setItem('pedal', e.key);
    field.value = e.key;
    said.textContent = `“${e.key}” does what Space does, in the chair on this device.`;
  });
  document.querySelector('[data-no-pedal]').addEventListener('click', () => {
    localStorage.removeItem('pedal');
    field.value = '';
    said.textContent = 'Only Space and Enter are left.';
  });
}
