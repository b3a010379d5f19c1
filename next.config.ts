import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // The libSQL client loads a native binding: it must stay outside the bundle.
  serverExternalPackages: ['@libsql/client'],
  // Types are checked by `npm test` (and in the editor); a demo should not wait for it.
  typescript: { ignoreBuildErrors: true },
  // A whole catalogue comes in as one file.
  experimental: { serverActions: { bodySizeLimit: '3mb' } },
};

export default config;
