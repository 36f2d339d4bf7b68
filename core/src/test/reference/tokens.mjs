// Turns tokens.json into CSS custom properties with style-dictionary, a general-purpose token
// processor, aliases resolved. It has no form for object durations, transitions and gradients, so
// the file has none.
import { readFileSync, writeFileSync } from 'node:fs';
import StyleDictionary from 'style-dictionary';

const source = new URL('../resources/reference/tokens.json', import.meta.url);
const sd = new StyleDictionary({
  tokens: JSON.parse(readFileSync(source, 'utf8')),
  usesDtcg: true,
  log: { verbosity: 'silent' },
  platforms: {
    css: { transformGroup: 'css', files: [{ destination: 'out.css', format: 'css/variables' }] },
  },
});
const [file] = await sd.formatPlatform('css');
const lines = file.output.split('\n').filter((line) => line.trim().startsWith('--'));
writeFileSync(
  new URL('../resources/reference/custom-properties.css', import.meta.url),
  `/* made with style-dictionary 5.5.5 by ../../reference/tokens.mjs */\n${lines.map((l) => l.trim()).join('\n')}\n`,
);
