// Writes the reference tables that the colour tests compare with, once, from named registry packages:
//   npm install --no-save culori@4 color-diff@1 spectral.js@3 && node reference.mjs ../../core/src/test/resources/colour
import fs from 'node:fs';
import path from 'node:path';
import { createRequire } from 'node:module';
import { converter, differenceCiede2000 } from 'culori';
import { diff } from 'color-diff';

const spectral = createRequire(import.meta.url)('spectral.js');
const version = (name) => JSON.parse(fs.readFileSync(`node_modules/${name}/package.json`)).version;
const to = process.argv[2];
const write = (file, head, lines) => fs.writeFileSync(path.join(to, file), `${head.map((h) => `# ${h}\n`).join('')}${lines.join('\n')}\n`);

let state = 20261126;
const random = () => { state = (state * 1103515245 + 12345) % 2147483648; return state / 2147483648; };
const colours = ['#000000', '#ffffff', '#808080', '#ff0000', '#00ff00', '#0000ff', '#a05c30', '#c9a88c', '#3b2417', '#2d6a5a', '#6b1f2b'];
while (colours.length < 60) colours.push(`#${Math.floor(random() * 0x1000000).toString(16).padStart(6, '0')}`);

const lab = converter('lab65');
write('srgb-lab.csv', [`sRGB to CIELAB under D65 by the npm package culori ${version('culori')} (MIT), converter('lab65')`],
  ['hex,l,a,b', ...colours.map((c) => { const v = lab(c); return [c.slice(1), v.l, v.a, v.b].map((x) => (typeof x === 'number' ? x.toFixed(5) : x)).join(','); })]);

const pairs = [];
for (let k = 0; k < 120; k += 1) {
  const near = k % 2;
  const one = [random() * 100, random() * 160 - 80, random() * 160 - 80];
  const other = near ? one.map((v, i) => Math.max(i ? -120 : 0, Math.min(i ? 120 : 100, v + random() * 8 - 4))) : [random() * 100, random() * 160 - 80, random() * 160 - 80];
  const [a, b] = [one, other].map((v) => v.map((x) => Number(x.toFixed(4))));
  const by = differenceCiede2000()({ mode: 'lab65', l: a[0], a: a[1], b: a[2] }, { mode: 'lab65', l: b[0], a: b[1], b: b[2] });
  const second = diff({ L: a[0], a: a[1], b: a[2] }, { L: b[0], a: b[1], b: b[2] });
  if (Math.abs(by - second) > 1e-6) throw new Error(`the two packages disagree: ${by} and ${second}`);
  pairs.push([...a, ...b, by.toFixed(6)].join(','));
}
write('ciede2000.csv', [`CIEDE2000 of generated pairs by the npm packages culori ${version('culori')} (MIT) and color-diff ${version('color-diff')} (BSD-3-Clause), which agree within 1e-6`],
  ['l1,a1,b1,l2,a2,b2,difference', ...pairs]);

const tone = colours.slice(6, 26).map((c) => new spectral.Color(c));
write('reflectance-lab.csv', [`sRGB of reflectances at 380 to 750 nm under D65 by the npm package spectral.js ${version('spectral.js')} (MIT)`],
  ['r,g,b,reflectances', ...tone.map((c) => { const back = new spectral.Color([...c.R]); return [...back.sRGB, c.R.map((r) => r.toFixed(8)).join(' ')].join(','); })]);
