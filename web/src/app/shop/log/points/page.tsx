import type { Metadata } from 'next';
import { PointsView } from '@/views/log/points/points-view';

export const metadata: Metadata = { title: 'Log: test points' };

export default function PointsPage() {
  return <PointsView />;
}
