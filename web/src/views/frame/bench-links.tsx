'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useDesign } from '@/model/use-design';
import { BENCHES } from './steps';

/** The benches of a step, side by side; the one that is open underlined. */
export function BenchLinks({ step }: { readonly step: keyof typeof BENCHES }) {
  const shopId = useDesign((shop) => shop.id);
  const pathname = usePathname();
  const { name: label, benches } = BENCHES[step];
  return (
    <nav
      aria-label={label}
      className="flex shrink-0 gap-1 overflow-x-auto border-rule border-b px-2 print:hidden"
    >
      {benches.map(({ path, name }) => {
        const address = `/shop/${shopId}/${step}${path === '' ? '' : `/${path}`}`;
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
