import type { Metadata } from 'next';
import { FitsView } from '@/views/collector/fits/fits-view';

export const metadata: Metadata = { title: 'Collector: what fits' };

export default function FitsPage() {
  return <FitsView />;
}
