import type { Metadata } from 'next';
import { SourcesView } from '@/views/sources/sources-view';

export const metadata: Metadata = { title: 'Sources' };

export default function SourcesPage() {
  return <SourcesView />;
}
