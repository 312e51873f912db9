import '@fontsource/zilla-slab/500.css';
import '@fontsource/zilla-slab/600.css';
import '@fontsource/barlow-semi-condensed/400.css';
import '@fontsource/barlow-semi-condensed/500.css';
import '@fontsource/barlow-semi-condensed/600.css';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { Notices } from '@/ui/notices';
import { SHOW_THEME } from '@/ui/theme';
import { ProgramNotice } from '@/views/frame/program-notice';

export const metadata: Metadata = {
  title: { default: 'Frank Gauge', template: '%s · Frank Gauge' },
  description: 'The airflow at every drop in your shop, and where the pressure goes.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default function RootLayout({ children }: { readonly children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        {/* A constant of ours; the page's policy lets it in by its hash. */}
        <script dangerouslySetInnerHTML={{ __html: SHOW_THEME }} />
      </head>
      <body>
        {children}
        <Notices />
        <ProgramNotice />
      </body>
    </html>
  );
}
