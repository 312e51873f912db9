import type { Metadata } from 'next';
import { AirView } from '@/views/air/air-view';

export const metadata: Metadata = { title: 'Air' };

export default function AirPage() {
  return <AirView />;
}
