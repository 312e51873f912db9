import type { ReactNode } from 'react';
import { BenchLinks } from '@/views/frame/bench-links';

export default function BuildLayout({ children }: { readonly children: ReactNode }) {
  return (
    <div className="flex flex-col md:h-full">
      <BenchLinks step="build" />
      <div className="min-h-0 flex-1">{children}</div>
    </div>
  );
}
