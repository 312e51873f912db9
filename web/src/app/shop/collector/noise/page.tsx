import type { Metadata } from 'next';
import { NoiseView } from '@/views/collector/noise/noise-view';

export const metadata: Metadata = { title: 'Collector: noise' };

export default function NoisePage() {
  return <NoiseView />;
}
