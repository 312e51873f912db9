import type { Metadata } from 'next';
import { PracticeList } from '@/views/practice/practice-list';

export const metadata: Metadata = { title: 'Practice' };

export default function PracticePage() {
  return <PracticeList />;
}
