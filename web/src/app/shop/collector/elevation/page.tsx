import type { Metadata } from 'next';
import { StackView } from '@/views/collector/stack/stack-view';

export const metadata: Metadata = { title: 'Collector: elevation' };

export default function ElevationPage() {
  return <StackView />;
}
