// Builds styles and copies fonts into the folder given as the first argument. Scripts need no building: they are plain
// modules under src/main/resources/static/js. Runs from within Maven, and by hand: node frontend/build.mjs target/classes/static
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const out = resolve(process.argv[2] ?? 'target/classes/static');

const lock = createHash('sha256')
  .update(readFileSync(join(here, 'package.json')))
  .update(readFileSync(join(here, 'package-lock.json')))
  .digest('hex');
const stamp = join(here, 'node_modules/.installed-lock');
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
  execFileSync('npm', ['ci', '--no-audit', '--no-fund', '--prefer-offline', '--ignore-scripts', '--loglevel=error'], {
    cwd: here, stdio: 'inherit',
  });
  writeFileSync(stamp, lock);
}

for (const folder of ['css', 'fonts']) mkdirSync(join(out, folder), { recursive: true });

execFileSync(
  process.execPath,
  ['node_modules/@tailwindcss/cli/dist/index.mjs', '-i', 'frontend/app.css', '-o', join(out, 'css/app.css'), '--minify'],
  { cwd: here, stdio: ['ignore', 'inherit', 'pipe'] },
);

const fonts = {
  'atkinson-hyperlegible-next': 'atkinson-hyperlegible-next-latin-wght-normal.woff2',
  'bricolage-grotesque': 'bricolage-grotesque-latin-standard-normal.woff2',
};
for (const [family, file] of Object.entries(fonts)) {
  copyFileSync(join(here, 'node_modules/@fontsource-variable', family, 'files', file), join(out, 'fonts', `${family}.woff2`));
}
