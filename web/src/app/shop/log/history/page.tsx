import type { Metadata } from 'next';
import { HistoryView } from '@/views/log/history/history-view';

export const metadata: Metadata = { title: 'Log: history' };

export default function HistoryPage() {
  return <HistoryView />;
}
