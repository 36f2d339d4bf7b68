import { describe, expect, it } from 'vitest';
import { staying } from './order';

/** By trying every choice; for short lists. */
function mostByTrying(numbers: readonly number[]): number {
  let most = 0;
  for (let choice = 0; choice < 1 << numbers.length; choice++) {
    const chosen = numbers.filter((_, place) => choice & (1 << place));
    const grows = chosen.every((n, i) => i === 0 || n > (chosen[i - 1] ?? 0));
    if (grows) most = Math.max(most, chosen.length);
  }
  return most;
}

describe('what may stay when a list is put in order', () => {
  it('is all but the one that was moved', () => {
    expect([...staying([1, 2, 3, 0])].sort()).toEqual([0, 1, 2]);
    expect([...staying([3, 0, 1, 2])].sort()).toEqual([1, 2, 3]);
    expect([...staying([])]).toEqual([]);
  });

  it('grows, and no choice of more does', () => {
    let seed = 7;
    const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    for (let round = 0; round < 200; round++) {
      const numbers = Array.from({ length: 1 + Math.floor(random() * 9) }, (_, i) => i);
      numbers.sort(() => random() - 0.5);
      const stay = [...staying(numbers)].sort((a, b) => a - b).map((place) => numbers[place] ?? 0);
      expect(stay, String(numbers)).toEqual([...stay].sort((a, b) => a - b));
      expect(stay.length, String(numbers)).toBe(mostByTrying(numbers));
    }
  });
});
