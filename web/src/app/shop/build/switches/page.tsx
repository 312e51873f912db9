import type { Metadata } from 'next';
import { SwitchesView } from '@/views/build/switches-view';

export const metadata: Metadata = { title: 'Build: gate switches' };

export default function SwitchesPage() {
  return <SwitchesView />;
}
