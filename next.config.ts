import type { NextConfig } from 'next';

/** Headers of every answer beside its Content-Security-Policy, which has a nonce of its own each time (src/proxy.ts). */
const HEADERS = {
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'same-origin',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Permissions-Policy': 'camera=(self), microphone=(), geolocation=()',
};

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // It is reached from this machine alone: packing an answer would only take time. A proxy in front may pack.
  compress: false,
  // `npm test` checks the types, of the tests too; whoever only starts the application need not wait for that.
  typescript: { ignoreBuildErrors: true },
  turbopack: { root: import.meta.dirname },
  outputFileTracingRoot: import.meta.dirname,
  serverExternalPackages: ['piscina', 'pg-boss', 'pg', 'exceljs', 'pdfkit'],
  // The largest lay that the engine takes, packed, with six ways of it; `send` says a sentence beyond that.
  experimental: { optimizePackageImports: ['@chakra-ui/react'], serverActions: { bodySizeLimit: '8mb' } },
  // The former address of the workroom's page.
  redirects: async () => [{ source: '/house/:path*', destination: '/workroom/:path*', permanent: true }],
  headers: async () => [
    { source: '/:path*', headers: Object.entries(HEADERS).map(([key, value]) => ({ key, value })) },
  ],
};

export default config;
