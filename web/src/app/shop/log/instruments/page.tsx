import type { Metadata } from 'next';
import { InstrumentsView } from '@/views/log/instruments/instruments-view';

export const metadata: Metadata = { title: 'Log: instruments' };

export default function InstrumentsPage() {
  return <InstrumentsView />;
}
