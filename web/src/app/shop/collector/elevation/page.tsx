import type { Metadata } from 'next';
import { ElevationView } from '@/views/collector/elevation/elevation-view';

export const metadata: Metadata = { title: 'Collector: elevation' };

export default function ElevationPage() {
  return <ElevationView />;
}
