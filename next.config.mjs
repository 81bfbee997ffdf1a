/**
 * Not TypeScript: to read that, every start of the server would load the compiler.
 *
 * @type {import('next').NextConfig}
 */
const config = {
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
  // A view is loaded when it is first asked for: the server stands sooner, and smaller.
  experimental: { serverActions: { bodySizeLimit: '1mb' }, preloadEntriesOnStart: false },
};

export default config;
