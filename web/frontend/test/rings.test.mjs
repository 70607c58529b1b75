// The rings of scripts and templates: a room uses parts and itself, a part uses parts; only app.js knows every room.
import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { test } from 'node:test';
import { fileURLToPath } from 'node:url';

const resources = resolve(dirname(fileURLToPath(import.meta.url)), '../../src/main/resources');

const files = (folder, ending) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((e) => {
    const path = join(folder, e.name);
    if (e.isDirectory()) return files(path, ending);
    return e.name.endsWith(ending) ? [path] : [];
  });

/** "rooms/chair" of rooms/chair/chair.js, "parts" of parts/live.js, "" of app.js. */
const ring = (path) => {
  const [first, second] = path.split('/');
  if (first === 'rooms') return `rooms/${second}`;
  return first === 'parts' ? 'parts' : '';
};

function wrong(arrows) {
  return arrows.filter(([from, to]) => ring(from) !== '' && ring(to) !== 'parts' && ring(to) !== ring(from)).map(([from, to]) => `${from} -> ${to}`);
}

test('scripts', () => {
  const js = join(resources, 'static/js');
  const arrows = files(js, '.js').flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/(?:from|import\()\s*'(\.[^']+)'/g)].map(([, to]) => [
      relative(js, file),
      relative(js, resolve(dirname(file), to)),
    ]),
  );
  assert.ok(arrows.length > 20, 'the arrows were not found');
  assert.deepEqual(wrong(arrows), []);
});

test('templates', () => {
  const templates = join(resources, 'templates');
  const arrows = files(templates, '.html').flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/~\{([a-z-]+\/[a-z/-]+)/g)].map(([, to]) => [relative(templates, file), to]),
  );
  assert.ok(arrows.length > 100, 'the arrows were not found');
  assert.deepEqual(wrong(arrows), []);
});

test('no script is longer than one can take in', () => {
  for (const file of files(join(resources, 'static/js'), '.js')) {
    const lines = readFileSync(file, 'utf8').split('\n').length - 1;
    assert.ok(lines <= 300, `${relative(resources, file)} has ${lines} lines`);
  }
});
