import type { Metadata } from 'next';
import { AssemblyView } from '@/views/build/assembly-view';

export const metadata: Metadata = { title: 'Build: assembly' };

export default function AssemblyPage() {
  return <AssemblyView />;
}
