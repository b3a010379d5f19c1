import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Every picture is a drawing of ours or an icon: none is resized, so no native library is needed.
  images: { unoptimized: true },
  // The libSQL client loads a native binding, and the PDF writer its own files: they stay outside the bundle.
  serverExternalPackages: ['@libsql/client', 'pdfmake'],
  // Types are checked by `npm test` (and in the editor); a demo should not wait for it.
  typescript: { ignoreBuildErrors: true },
  // The largest action is a plan of forty blocks; files come in through routes of their own.
  experimental: {
    serverActions: { bodySizeLimit: '512kb' },
    // Every door reads only as much as it takes (server/http/body.ts); the largest is a whole book of 48 MB, which the
    // framework would cut at 10.
    proxyClientMaxBodySize: '49mb',
  },
};

export default config;
