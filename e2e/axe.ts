import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './app';

/**
 * No violation on the page as it is. Legacy mode runs in the page itself; the other opens a second page each time, for frames of other
 * origins, which we have none of.
 */
export const clean = async (page: Page, what: string): Promise<void> => {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .analyze();
  expect(
    violations.map(
      (v) =>
        `${what}: ${v.id} ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 4)
          .join(', ')}`,
    ),
  ).toEqual([]);
};
