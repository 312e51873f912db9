'use client';

import { usePathname } from 'next/navigation';
import { Sheet } from '@/ui/sheet';
import { aboutView } from '@/words/about-views';
import { openSheet, useFrameSheet } from './palette-state';

/** What the present view is for, what to do first, and what its terms mean. */
export function AboutSheet() {
  const isOpen = useFrameSheet(({ open }) => open === 'about');
  const about = aboutView(usePathname());
  if (!about) return null;
  return (
    <Sheet
      title={`About this view: ${about.name}`}
      about={about.purpose}
      open={isOpen}
      onOpenChange={(open) => openSheet(open ? 'about' : null)}
    >
      <p>
        <strong className="font-semibold">First:</strong> {about.first}
      </p>
      <h3 className="mt-4 text-[17px]">Terms</h3>
      <dl className="mt-1 space-y-1.5">
        {about.terms.map(({ term, means }) => (
          <div key={term}>
            <dt className="inline font-semibold">{term}: </dt>
            <dd className="inline">{means}.</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
