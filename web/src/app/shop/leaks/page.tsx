import type { Metadata } from 'next';
import { LeaksView } from '@/views/leaks/leaks-view';

export const metadata: Metadata = { title: 'Leaks' };

export default function LeaksPage() {
  return <LeaksView />;
}
