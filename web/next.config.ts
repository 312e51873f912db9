import { fileURLToPath } from 'node:url';
import type { NextConfig } from 'next';
import HARDENING from './hardening.json';

const root = fileURLToPath(new URL('..', import.meta.url));

/** Sent with every response; each page's Content-Security-Policy, made from what it holds, by `server.mjs`. */
const headers = Object.entries(HARDENING).map(([key, value]) => ({ key, value }));

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  transpilePackages: ['@frank-gauge/core'],
  serverExternalPackages: ['piscina'],
  turbopack: { root },
  outputFileTracingRoot: root,
  headers: async () => [{ source: '/:path*', headers }],
  // A page of a shop is the same for every shop, one to practice in too: which one it shows, it reads from its address by itself.
  rewrites: async () => ({
    beforeFiles: [
      { source: '/shop/:id/:view+', destination: '/shop/:view+' },
      { source: '/practice/:id', destination: '/practice/hunt' },
    ],
  }),
};

export default config;
