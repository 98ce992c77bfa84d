import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  turbopack: { root: import.meta.dirname },
  outputFileTracingRoot: import.meta.dirname,
  serverExternalPackages: ['piscina', 'pg-boss', 'pg', 'exceljs'],
  experimental: { optimizePackageImports: ['@chakra-ui/react'] },
};

export default config;
