import type { NextConfig } from 'next';

/** Pages by their earlier address, kept in bookmarks, and by today's. */
const MOVED = { day: 'schedule', shelf: 'stock', costs: 'pricing' } as const;

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Names this build: what only the same code may read back is kept under it.
  env: { MESA_BUILD: Date.now().toString(36) },
  redirects: async () =>
    [...Object.entries(MOVED), ['job/:id/look', 'job/:id/inspect'] as const].map(([from, to]) => ({
      source: `/${from}`,
      destination: `/${to}`,
      permanent: true,
    })),
  turbopack: {
    rules: {
      '**/zod/v4/core/index.js': { loaders: ['./scripts/zodPart.cjs'] },
      '**/zod/v4/mini/external.js': { loaders: ['./scripts/zodPart.cjs'] },
      '**/src/words/*/*.json': { loaders: ['./scripts/wordsPart.cjs'] },
    },
  },
  // The whole test run has checked types just before it builds.
  typescript: { ignoreBuildErrors: process.env.MESA_TYPES_CHECKED === '1' },
};

export default config;
