import { expect, it } from 'vitest';
import { summary } from './summary';

const item = (label: string, css: string, local = false) => ({ label, value: css, css, local });

it('says padding once, all sides in the order of CSS', () => {
  const list = summary([item('Padding top', '112px'), item('Padding left', '32px', true)]);
  expect(list).toEqual([{ label: 'padding', value: '112 0 0 32', local: true }]);
});

it('shows colours as swatches and the first typeface only', () => {
  expect(
    summary([item('Text colour', '#ffffff'), item('Typeface', 'Literata, Georgia, serif')]),
  ).toEqual([
    { label: 'text', value: '', swatch: '#ffffff', local: false },
    { label: 'type', value: 'Literata', local: false },
  ]);
});
