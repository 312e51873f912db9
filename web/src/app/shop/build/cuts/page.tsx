import type { Metadata } from 'next';
import { CutsView } from '@/views/build/cuts-view';

export const metadata: Metadata = { title: 'Build: cut list' };

export default function CutsPage() {
  return <CutsView />;
}
