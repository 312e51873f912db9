import type { Metadata } from 'next';
import { LabelsView } from '@/views/build/labels-view';

export const metadata: Metadata = { title: 'Build: labels' };

export default function LabelsPage() {
  return <LabelsView />;
}
