'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { demoOf, openDemo } from '@/storage/shop-list';
import { useStoragePlace } from '@/storage/storage-place';
import { PlaceNotice } from '@/views/frame/storage-notice';

/** Puts a demo shop in this browser, unless it is there, and opens it: the one named in the address, or the first. */
export default function DemoPage() {
  const router = useRouter();
  const [hasFailed, setFailed] = useState(false);
  const isKnown = useStoragePlace(({ kind }) => kind === 'browser' || kind === 'memory');
  useEffect(() => {
    if (!isKnown) return;
    const { searchParams } = new URL(window.location.href);
    openDemo(demoOf(searchParams.get('shop'))).then(
      (id) => router.replace(`/shop/${id}/air`),
      () => setFailed(true),
    );
  }, [router, isKnown]);
  return (
    <>
      <PlaceNotice />
      {hasFailed ? (
        <p role="alert" className="p-8">
          The browser could not store the demo shop: its storage may be full.{' '}
          <Link href="/" className="underline">
            All shops
          </Link>
        </p>
      ) : (
        <p role="status" className="p-8 text-quiet">
          Opening the demo shop…
        </p>
      )}
    </>
  );
}
