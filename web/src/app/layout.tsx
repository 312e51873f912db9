import '@fontsource/zilla-slab/500.css';
import '@fontsource/zilla-slab/600.css';
import '@fontsource/barlow-semi-condensed/400.css';
import '@fontsource/barlow-semi-condensed/500.css';
import '@fontsource/barlow-semi-condensed/600.css';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { Notices } from '@/ui/notices';
import { readTheme, THEME_COOKIE } from '@/ui/theme';

export const metadata: Metadata = {
  title: { default: 'Frank Gauge', template: '%s · Frank Gauge' },
  description: 'What air every drop in your shop gets, and where the pressure goes.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const theme = readTheme((await cookies()).get(THEME_COOKIE)?.value);
  return (
    <html lang="en" data-theme={theme} suppressHydrationWarning>
      <body>
        {children}
        <Notices />
      </body>
    </html>
  );
}
