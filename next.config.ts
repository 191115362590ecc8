import type { NextConfig } from 'next'

const config: NextConfig = {
  reactStrictMode: true,
  allowedDevOrigins: ['127.0.0.1'],
  poweredByHeader: false,
  turbopack: {
    // The reader of BibTeX brings along a way to fetch files, made for Node. Data stays in the browser: it is left out.
    resolveAlias: { 'sync-fetch': './src/no-fetch.ts', 'node-fetch': './src/no-fetch.ts' },
  },
}
export default config
