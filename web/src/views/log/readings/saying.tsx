'use client';

import Link from 'next/link';
import { useDesign } from '@/model/use-design';
import { LeakSentence } from '../../parts/leaks/leak-sentence';
import { useLeaks } from '../../parts/leaks/use-leaks';

/** What the readings say together, in a sentence, and where to go on from there. */
export function Saying() {
  const leaks = useLeaks();
  const shopId = useDesign((shop) => shop.id);
  return (
    <div className="mb-3">
      <LeakSentence {...leaks} />
      {leaks.report?.verdict.isWrong && (
        <p className="mt-1">
          <Link href={`/shop/${shopId}/leaks`} className="underline">
            What to check and what to measure next
          </Link>
        </p>
      )}
    </div>
  );
}
