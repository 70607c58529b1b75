// A list that is filtered while somebody types: lines that say other words go, groups that are left with some open.
const words = (text) =>
  text
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter(Boolean);

/** Whether every word that was typed begins one of these, or is several of them. */
export const holds = (said, typed) => words(typed).every((w) => words(said).some((s) => s.startsWith(w) || w === `${s}s`));

function mount(field) {
  const root = field.closest('[data-filtered]');
  const groups = [...root.querySelectorAll('[data-group]')];
  const opened = groups.map((g) => g.open);
  const none = root.querySelector('[data-filter-none]');
  const filter = () => {
    // what is not there yet is filtered when it has come
    if (root.querySelector('[data-later]')) return;
    const typed = field.value.trim();
    let any = false;
    groups.forEach((group, k) => {
      const lines = [...group.querySelectorAll('[data-words]')];
      const found = lines.filter((line) => !typed || holds(line.dataset.words, typed));
      for (const line of lines) line.hidden = !found.includes(line);
      for (const part of group.querySelectorAll('[data-lines]')) part.hidden = !part.querySelector('[data-words]:not([hidden])');
      group.hidden = !found.length;
      group.open = typed ? found.length > 0 : opened[k];
      any ||= found.length > 0;
    });
    if (none) none.hidden = any;
  };
  field.addEventListener('input', filter);
  if (field.value) filter();
}

export function mountFilters(root) {
  for (const field of root.querySelectorAll('[data-filter]')) mount(field);
}
