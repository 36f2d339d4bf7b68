// Converts CSS colours to sRGB with colorjs.io, gamut-mapped as CSS Color 4 says, one a line:
// the CSS text, then red, green, blue (0 to 255) and alpha. Seeded, so the file comes out the same.
import { writeFileSync } from 'node:fs';
import Color from 'colorjs.io';

let seed = 20260;
const random = () => {
  seed = (seed * 1664525 + 1013904223) % 4294967296;
  return seed / 4294967296;
};
const between = (low, high, digits = 2) => (low + random() * (high - low)).toFixed(digits);

const makers = [
  () => `rgb(${between(0, 255)} ${between(0, 255)} ${between(0, 255)} / ${between(0, 1)})`,
  () => `hsl(${between(-90, 400)} ${between(0, 100)}% ${between(0, 100)}%)`,
  () => `hwb(${between(0, 360)} ${between(0, 60)}% ${between(0, 40)}%)`,
  () => `lab(${between(2, 98)}% ${between(-90, 90)} ${between(-90, 90)})`,
  () => `lch(${between(2, 98)}% ${between(0, 110)} ${between(0, 360)})`,
  () => `oklab(${between(0.02, 0.98)} ${between(-0.25, 0.25, 3)} ${between(-0.25, 0.25, 3)})`,
  () => `oklch(${between(2, 98)}% ${between(0, 0.3, 3)} ${between(0, 360)})`,
  ...['srgb', 'srgb-linear', 'display-p3', 'a98-rgb', 'prophoto-rgb', 'rec2020', 'xyz-d65', 'xyz-d50'].map(
    (space) => () => `color(${space} ${between(0, 0.9, 3)} ${between(0, 0.9, 3)} ${between(0, 0.9, 3)})`,
  ),
];
const lines = ['# made with colorjs.io 0.7.1 by ../../reference/colours.mjs'];
for (const make of makers) {
  for (let i = 0; i < 30; i++) {
    const css = make();
    const srgb = new Color(css).to('srgb').toGamut({ method: 'css' });
    lines.push([css, ...srgb.coords.map((c) => (255 * c).toFixed(3)), Number(srgb.alpha).toFixed(3)].join(';'));
  }
}
writeFileSync(new URL('../resources/reference/css-colours.csv', import.meta.url), `${lines.join('\n')}\n`);
