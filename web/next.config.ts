import { fileURLToPath } from 'node:url';
import type { NextConfig } from 'next';
import HARDENING from './hardening.json';

const root = fileURLToPath(new URL('..', import.meta.url));

/** Sent with every response; the Content-Security-Policy, which changes each time, by `proxy.ts`. */
const headers = Object.entries(HARDENING).map(([key, value]) => ({ key, value }));

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  transpilePackages: ['@frank-gauge/core'],
  serverExternalPackages: ['piscina'],
  turbopack: { root },
  outputFileTracingRoot: root,
  headers: async () => [{ source: '/:path*', headers }],
};

export default config;
