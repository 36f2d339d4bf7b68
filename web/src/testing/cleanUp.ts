import { afterEach } from 'vitest';

// Test files share their surroundings, as each with its own takes ten times as long as the tests.
if (typeof document !== 'undefined') {
  const { cleanup } = await import('@testing-library/react');
  afterEach(cleanup);
}
