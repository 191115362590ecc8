import type { NextConfig } from 'next'

const config: NextConfig = {
  reactStrictMode: true,
  allowedDevOrigins: ['127.0.0.1'],
  poweredByHeader: false,
  // `npm test` has checked them, tests and all, before it builds.
  typescript: { ignoreBuildErrors: process.env.LUVREN_TYPES_CHECKED === '1' },
}
export default config
