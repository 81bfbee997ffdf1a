import type { NextConfig } from 'next';

const config: NextConfig = {
  compiler: { styledComponents: true },
  poweredByHeader: false,
  reactStrictMode: true,
  serverExternalPackages: [
    '@libsql/client',
    'libsql',
    'sharp',
    '@react-pdf/renderer',
    'bwip-js',
    'lcms-wasm',
    'yazl',
    'yauzl',
    'csv-stringify',
    'csv-parse',
  ],
  turbopack: { ignoreIssue: [{ path: '**/lcms-wasm/dist/*' }] },
  // `npm test` checks all types once, before the build.
  typescript: { ignoreBuildErrors: true },
  experimental: { serverActions: { bodySizeLimit: '1mb' } },
};

export default config;
