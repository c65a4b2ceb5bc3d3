import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // The whole test run has checked types just before it builds.
  typescript: { ignoreBuildErrors: process.env.MESA_TYPES_CHECKED === '1' },
};

export default config;
