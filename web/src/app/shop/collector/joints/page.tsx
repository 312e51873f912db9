import type { Metadata } from 'next';
import { FitsView } from '@/views/collector/fits/fits-view';

export const metadata: Metadata = { title: 'Collector: joints' };

export default function JointsPage() {
  return <FitsView />;
}
