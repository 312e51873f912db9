import type { Metadata } from 'next';
import { PartsView } from '@/views/build/parts-view';

export const metadata: Metadata = { title: 'Build' };

export default function BuildPage() {
  return <PartsView />;
}
