import type { Metadata } from 'next';
import { StackView } from '@/views/collector/stack/stack-view';

export const metadata: Metadata = { title: 'Collector: how it stands' };

export default function StackPage() {
  return <StackView />;
}
