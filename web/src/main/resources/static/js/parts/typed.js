// What was typed into a form and not saved yet stays on this device, whatever way the page is left, until it is saved or thrown away.
const place = (form) => `typed ${new URL(form.action).pathname}`;

const opened = (form) => form.elements.namedItem('_was');

const read = (form) => [...new FormData(form)].filter(([name]) => !name.startsWith('_')).map(([name, value]) => [name, String(value)]);

function fill(form, typed) {
  for (const field of form.elements) {
    if (!field.name || field.type === 'hidden' || field.type === 'submit' || field.type === 'button' || field.type === 'file') continue;
    const values = typed.filter(([name]) => name === field.name).map(([, value]) => value);
    if (field.type === 'checkbox' || field.type === 'radio') {
      const was = field.checked;
      field.checked = values.includes(field.value);
      if (was !== field.checked) field.dispatchEvent(new Event('change', { bubbles: true }));
    } else if (values.length && field.value !== values[0]) {
      [field.value] = values;
      // what is not saved yet is not folded away
      const part = field.closest('details');
      if (part) part.open = true;
    }
  }
}

function say(form) {
  const line = document.createElement('p');
  line.className = 'unsaved';
  line.setAttribute('role', 'status');
  const away = document.createElement('button');
  away.type = 'button';
  away.className = 'act quiet';
  away.textContent = 'Throw it away';
  away.addEventListener('click', () => {
    sessionStorage.removeItem(place(form));
    location.reload();
  });
  line.append('What you had typed is still here and not saved yet. ', away);
  form.prepend(line);
}

export function mountTyped(root) {
  for (const form of root.querySelectorAll('form[data-typed]')) {
    if (form.dataset.mounted) continue;
    form.dataset.mounted = '1';
    const saved = JSON.stringify(read(form));
    const kept = JSON.parse(sessionStorage.getItem(place(form)) ?? 'null');
    // what the server sent back with a complaint is already what was typed
    if (kept && JSON.stringify(kept.typed) !== saved && !form.querySelector('.problems')) {
      fill(form, kept.typed);
      // it was typed over what stood there then
      if (opened(form) && kept.was) opened(form).value = kept.was;
      say(form);
    }
    const keep = () => {
      const now = read(form);
      if (JSON.stringify(now) === saved) sessionStorage.removeItem(place(form));
      else sessionStorage.setItem(place(form), JSON.stringify({ typed: now, was: opened(form)?.value }));
    };
    form.addEventListener('input', keep);
    form.addEventListener('change', keep);
    // sent is not yet saved: without an answer it stays
    form.addEventListener('answered', () => sessionStorage.removeItem(place(form)));
  }
}
