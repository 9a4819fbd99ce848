import type { NextConfig } from 'next'
import { assessedBy } from './scripts/assessed-by.mjs'
import { OLD_ADDRESSES, ROUTES } from './src/ui/routes'

/** What is served as a file, scripts of workers among it, may load from here alone: pages have a stricter policy, with a nonce. */
const FILES_POLICY = [
  "default-src 'self'",
  "script-src 'self' blob:",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'none'",
  "frame-ancestors 'none'",
].join('; ')

/** A server that only serves has nothing to build a key into. */
const BUILDS = ['phase-production-build', 'phase-development-server']

const configIn = async (phase: string): Promise<NextConfig> => ({
  env: BUILDS.includes(phase) ? { ASSESSED_BY: await assessedBy(process.cwd()) } : {},
  reactStrictMode: true,
  reactCompiler: true,
  poweredByHeader: false,
  devIndicators: false,
  // Types are checked by a step of their own, with the core's narrower one beside it.
  typescript: { ignoreBuildErrors: true },
  redirects: () =>
    Promise.resolve(
      Object.entries(OLD_ADDRESSES).map(([source, screen]) => ({
        source,
        destination: ROUTES[screen].path,
        permanent: true,
      })),
    ),
  headers: () =>
    Promise.resolve([
      {
        source: '/:path*',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'X-Frame-Options', value: 'DENY' },
          { key: 'Referrer-Policy', value: 'no-referrer' },
          { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
          { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
          { key: 'Permissions-Policy', value: 'camera=(), microphone=(), geolocation=(), payment=()' },
        ],
      },
      {
        source: '/api/:path*',
        headers: [{ key: 'Content-Security-Policy', value: "default-src 'none'; frame-ancestors 'none'" }],
      },
      ...['/_next/static/:path*', '/icon.svg', '/favicon.ico'].map((source) => ({
        source,
        headers: [{ key: 'Content-Security-Policy', value: FILES_POLICY }],
      })),
    ]),
})

export default configIn
