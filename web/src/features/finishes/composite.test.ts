import { describe, expect, it } from 'vitest';
import {
  readFluid,
  readGradient,
  readShadow,
  split,
  writeFluid,
  writeGradient,
  writeShadow,
} from './composite';

describe('values of several parts', () => {
  it('keeps brackets and braces together', () => {
    expect(split('rgb(0 0 0 / 20%) {color.a, b} x', ' ')).toEqual([
      'rgb(0 0 0 / 20%)',
      '{color.a, b}',
      'x',
    ]);
  });

  it('takes a shadow apart and puts it together again', () => {
    const text = 'inset 0px 2px 4px -1px rgb(0 0 0 / 20%), 1px 1px 0px 0px {color.accent}';
    expect(readShadow(text)).toHaveLength(2);
    expect(writeShadow(readShadow(text))).toBe(text);
    expect(readShadow('none')).toEqual([]);
    expect(writeShadow([])).toBe('none');
  });

  it('takes a gradient apart and puts it together again', () => {
    const text = 'linear-gradient(160deg, {color.accent} 0%, rgb(0 0 0 / 0%) 60%, #ffffff 100%)';
    const gradient = readGradient(text);
    expect(gradient?.stops[1]).toEqual({ colour: 'rgb(0 0 0 / 0%)', position: 60 });
    expect(gradient && writeGradient(gradient)).toBe(text);
    expect(readGradient('linear-gradient(#000, #fff)')).toEqual({
      angle: 180,
      stops: [
        { colour: '#000', position: 0 },
        { colour: '#fff', position: 100 },
      ],
    });
    expect(readGradient('none')).toBeUndefined();
  });

  it('writes a fluid size that meets both ends', () => {
    const size = { least: 19, greatest: 24, from: 320, to: 1280 };
    expect(readFluid(writeFluid(size))).toEqual(size);
    expect(readFluid('24px')).toBeUndefined();
  });
});
