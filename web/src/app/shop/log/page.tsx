import type { Metadata } from 'next';
import { LogView } from '@/views/log/readings/log-view';

export const metadata: Metadata = { title: 'Log' };

export default function LogPage() {
  return <LogView />;
}
