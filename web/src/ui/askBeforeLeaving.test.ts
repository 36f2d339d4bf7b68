// @vitest-environment jsdom
import { expect, it } from 'vitest';
import { askBeforeLeaving } from './askBeforeLeaving';

function isAsked(): boolean {
  const leaving = new Event('beforeunload', { cancelable: true });
  window.dispatchEvent(leaving);
  return leaving.defaultPrevented;
}

it('asks only while something would be lost, and no longer than it is wanted', () => {
  let lost = false;
  const end = askBeforeLeaving(() => lost);
  expect(isAsked()).toBe(false);
  lost = true;
  expect(isAsked()).toBe(true);
  end();
  expect(isAsked()).toBe(false);
});
