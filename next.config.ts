import type { NextConfig } from 'next';

const config: NextConfig = {
  compiler: { styledComponents: true },
  poweredByHeader: false,
  // Pages travel within one machine or one house: packing them costs more than it saves.
  compress: false,
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
