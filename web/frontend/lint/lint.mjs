// Asks linters and the formatter of every script and style: node frontend/lint/lint.mjs, or with --write to put right what can be. Its
// tools are fetched on first use, by this and by nothing that Kemdro needs to start.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = dirname(fileURLToPath(import.meta.url));
const web = resolve(here, '../..');
const write = process.argv.includes('--write');

function run(command, words, cwd) {
  return spawnSync(command, words, { cwd, stdio: 'inherit' }).status === 0;
}

const lock = readFileSync(join(here, 'package-lock.json'), 'utf8');
const stamp = join(here, 'node_modules/.installed-lock');
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
  if (!run('npm', ['ci', '--no-audit', '--no-fund', '--prefer-offline', '--ignore-scripts', '--loglevel=error'], here)) process.exit(1);
  writeFileSync(stamp, lock);
}

const tool = (name) => join(here, 'node_modules/.bin', name);
const config = (name) => ['--config', join(here, `${name}.config.mjs`)];
const scripts = ['src/main/resources/static/js', 'frontend/test', 'frontend/lint/*.mjs', 'frontend/build.mjs'];
const styles = ['frontend/css/*.css', 'frontend/app.css'];
const both = ['src/main/resources/static/js/**/*.js', 'frontend/test/*.mjs', 'frontend/lint/*.mjs', 'frontend/build.mjs', ...styles];

const results = [
  run(tool('eslint'), [...config('eslint'), ...(write ? ['--fix'] : []), ...scripts], web),
  run(tool('stylelint'), [...config('stylelint'), ...(write ? ['--fix'] : []), ...styles], web),
  run(tool('prettier'), [...config('prettier'), write ? '--write' : '--check', '--log-level', 'warn', ...both], web),
];
if (results.includes(false)) {
  console.error('Scripts or styles are not as they should be: node frontend/lint/lint.mjs --write in web puts right what can be.');
  process.exit(1);
}
