import type { Metadata } from 'next';
import { DrawingsView } from '@/views/build/drawings/drawings-view';

export const metadata: Metadata = { title: 'Build: drawings' };

export default function DrawingsPage() {
  return <DrawingsView />;
}
