'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useDesign } from '@/model/use-design';
import { COLLECTOR_BENCHES } from '../frame/steps';

/** The benches of the Collector, side by side; the one that is open underlined. */
export function BenchLinks() {
  const shop = useDesign();
  const pathname = usePathname();
  return (
    <nav
      aria-label="Collector"
      className="flex shrink-0 gap-1 overflow-x-auto border-rule border-b px-2"
    >
      {COLLECTOR_BENCHES.map(({ path, name }) => {
        const address = `/shop/${shop.id}/collector${path === '' ? '' : `/${path}`}`;
        return (
          <Link
            key={path}
            href={address}
            aria-current={pathname === address ? 'page' : undefined}
            className="flex min-h-11 items-center border-transparent border-b-2 px-2 whitespace-nowrap hover:bg-selection aria-[current=page]:border-ink aria-[current=page]:font-semibold md:min-h-9"
          >
            {name}
          </Link>
        );
      })}
    </nav>
  );
}
