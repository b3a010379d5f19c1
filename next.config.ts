import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // The libSQL client loads a native binding: it must stay outside the bundle.
  serverExternalPackages: ['@libsql/client'],
  experimental: { serverActions: { bodySizeLimit: '512kb' } },
};

export default config;
