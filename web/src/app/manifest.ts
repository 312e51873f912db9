import type { MetadataRoute } from 'next';

/** What the system shows of the app once it is installed. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Frank Gauge',
    short_name: 'Frank Gauge',
    description: 'The airflow at every drop in your shop, and where the pressure goes.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#f6f2e9',
    theme_color: '#f6f2e9',
    categories: ['utilities', 'productivity'],
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
      { src: '/icons/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icons/maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  };
}
