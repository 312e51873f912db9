import type { Metadata } from 'next';
import { TraysView } from '@/views/improve/trays/trays-view';

export const metadata: Metadata = { title: 'Improve: what if' };

export default function TraysPage() {
  return <TraysView />;
}
