import type { Metadata } from 'next';
import { JointsView } from '@/views/collector/joints/joints-view';

export const metadata: Metadata = { title: 'Collector: joints' };

export default function JointsPage() {
  return <JointsView />;
}
