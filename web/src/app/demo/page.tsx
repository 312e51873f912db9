'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { openDemo } from '@/storage/shop-list';

/** Puts the demo shop in this browser, unless it is there, and opens it. */
export default function DemoPage() {
  const router = useRouter();
  useEffect(() => {
    void openDemo().then((id) => router.replace(`/shop/${id}/air`));
  }, [router]);
  return (
    <p role="status" className="p-8 text-quiet">
      Opening the demo shop…
    </p>
  );
}
