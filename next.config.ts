import type { NextConfig } from 'next'

/** Another one for each build: a page knows by it that it is of an older one. */
const BUILD = process.env.LUVREN_BUILD ?? Date.now().toString(36)
process.env.LUVREN_BUILD = BUILD
const asFiles = process.env.LUVREN_EXPORT === '1'

const config: NextConfig = {
  reactStrictMode: true,
  allowedDevOrigins: ['127.0.0.1'],
  poweredByHeader: false,
  env: { LUVREN_BUILD: BUILD },
  turbopack: { resolveAlias: { '@rc-component/form': './src/ui/no-form.ts' } },
  // `npm test` has checked them, tests and all, before it builds.
  typescript: { ignoreBuildErrors: process.env.LUVREN_TYPES_CHECKED === '1' },
  ...(asFiles
    ? { output: 'export' as const, distDir: 'out' }
    : {
        // Addresses of before, which named the review first.
        redirects: async () => [
          {
            source: '/review/:id/:stage(question|terms|searches|records|selection|methods)',
            destination: '/review/:stage?id=:id',
            permanent: false,
          },
        ],
      }),
}
export default config
