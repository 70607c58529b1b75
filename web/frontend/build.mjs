// Builds styles and copies fonts into the folder given as the first argument. Scripts need no building: they are plain
// modules under src/main/resources/static/js. Runs from within Maven, and by hand: node frontend/build.mjs target/classes/static
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { inflateSync } from 'node:zlib';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const out = resolve(process.argv[2] ?? 'target/classes/static');

const lock = createHash('sha256')
  .update(readFileSync(join(here, 'package.json')))
  .update(readFileSync(join(here, 'package-lock.json')))
  .digest('hex');
const stamp = join(here, 'node_modules/.installed-lock');

function npm(command, ...words) {
  const quiet = ['--no-audit', '--no-fund', '--prefer-offline', '--ignore-scripts', '--loglevel=error'];
  execFileSync('npm', [command, ...quiet, ...words], { cwd: here, stdio: 'inherit' });
}

/** The compilers' native parts for this machine, as locked: npm leaves such a part out where it asks for a newer Node (decision 009). */
function nativeParts() {
  const libc = process.report?.getReport().header.glibcVersionRuntime ? 'glibc' : 'musl';
  const locked = JSON.parse(readFileSync(join(here, 'package-lock.json'), 'utf8')).packages;
  return Object.entries(locked)
    .filter(([, part]) => part.optional && part.os?.includes(process.platform) && part.cpu?.includes(process.arch))
    .filter(([, part]) => process.platform !== 'linux' || !part.libc || part.libc.includes(libc))
    .map(([path, part]) => [path, `${path.slice('node_modules/'.length)}@${part.version}`]);
}

if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
  npm('ci');
  const missing = nativeParts().filter(([path]) => !existsSync(join(here, path)));
  if (missing.length) npm('install', '--no-save', ...missing.map(([, part]) => part));
  writeFileSync(stamp, lock);
}

for (const folder of ['css', 'fonts']) mkdirSync(join(out, folder), { recursive: true });

execFileSync(process.execPath, ['node_modules/@tailwindcss/cli/dist/index.mjs', '-i', 'frontend/app.css', '-o', join(out, 'css/app.css'), '--minify'], {
  cwd: here,
  stdio: ['ignore', 'inherit', 'pipe'],
});

const fonts = {
  'atkinson-hyperlegible-next': 'atkinson-hyperlegible-next-latin-wght-normal.woff2',
  'bricolage-grotesque': 'bricolage-grotesque-latin-standard-normal.woff2',
};
for (const [family, file] of Object.entries(fonts)) {
  copyFileSync(join(here, 'node_modules/@fontsource-variable', family, 'files', file), join(out, 'fonts', `${family}.woff2`));
}

/** The bare font out of a WOFF 1 wrapping: what prints PDFs reads nothing else. */
function unwrapped(woff) {
  const count = woff.readUInt16BE(12);
  const power = 2 ** Math.floor(Math.log2(count));
  const head = Buffer.alloc(12 + count * 16);
  woff.copy(head, 0, 4, 8);
  head.writeUInt16BE(count, 4);
  head.writeUInt16BE(power * 16, 6);
  head.writeUInt16BE(Math.log2(power), 8);
  head.writeUInt16BE((count - power) * 16, 10);
  const parts = [head];
  let offset = head.length;
  for (let k = 0; k < count; k++) {
    const entry = 44 + k * 20;
    const [from, packed, length] = [4, 8, 12].map((at) => woff.readUInt32BE(entry + at));
    const raw = woff.subarray(from, from + packed);
    const at = 12 + k * 16;
    woff.copy(head, at, entry, entry + 4);
    woff.copy(head, at + 4, entry + 16, entry + 20);
    head.writeUInt32BE(offset, at + 8);
    head.writeUInt32BE(length, at + 12);
    const padding = (4 - (length % 4)) % 4;
    parts.push(packed < length ? inflateSync(raw) : raw, Buffer.alloc(padding));
    offset += length + padding;
  }
  return Buffer.concat(parts);
}

const print = join(out, '../print-fonts');
mkdirSync(print, { recursive: true });
for (const weight of [400, 700]) {
  const file = `node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`;
  writeFileSync(join(print, `read-${weight}.ttf`), unwrapped(readFileSync(join(here, file))));
}
