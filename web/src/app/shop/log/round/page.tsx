import type { Metadata } from 'next';
import { RoundView } from '@/views/log/round/round-view';

export const metadata: Metadata = { title: 'Log: round' };

export default function RoundPage() {
  return <RoundView />;
}
