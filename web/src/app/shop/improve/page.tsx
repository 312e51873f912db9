import type { Metadata } from 'next';
import { ImproveView } from '@/views/improve/improve-view';

export const metadata: Metadata = { title: 'Improve' };

export default function ImprovePage() {
  return <ImproveView />;
}
