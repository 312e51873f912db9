'use client';

import Link from 'next/link';
import { acknowledgeRenewed, useSession } from '@/storage/session';
import { Button } from '@/ui/button';
import { renewalWords } from '@/words/renewal-words';

/** Says once, in a shop of an older version, which of its estimates follow the program's new ones. */
export function RenewedNotice() {
  const renewed = useSession((session) => (session.status === 'open' ? session.renewed : null));
  if (!renewed || renewed.length === 0) return null;
  const { title, text } = renewalWords(renewed);
  return (
    <section
      aria-label="Renewed estimates"
      className="flex flex-wrap items-center gap-x-4 border-rule border-b bg-strip px-3 py-1 md:px-4"
    >
      <p className="min-w-60 flex-1 text-[15px]">
        <strong className="font-semibold">{title}</strong> {text}{' '}
        <Link href="/sources" className="underline">
          See Sources
        </Link>
      </p>
      <Button onClick={() => void acknowledgeRenewed()}>Dismiss</Button>
    </section>
  );
}
