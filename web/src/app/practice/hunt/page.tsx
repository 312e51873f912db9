import type { Metadata } from 'next';
import { HuntView } from '@/views/practice/hunt-view';

export const metadata: Metadata = { title: 'Practice' };

export default function HuntPage() {
  return <HuntView />;
}
