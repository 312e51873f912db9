import type { Metadata } from 'next';
import { WeighingsView } from '@/views/log/weighings/weighings-view';

export const metadata: Metadata = { title: 'Log: weighings' };

export default function WeighingsPage() {
  return <WeighingsView />;
}
