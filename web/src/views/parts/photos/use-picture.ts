'use client';

import { useEffect, useState } from 'react';
import { database } from '@/storage/database';

/** The address of a stored picture; null while it is read, `missing` where only its record came along. */
export function usePicture(shop: string, id: string): string | 'missing' | null {
  const [address, setAddress] = useState<string | 'missing' | null>(null);
  useEffect(() => {
    let made: string | null = null;
    let isWanted = true;
    database()
      .photoFiles.get([shop, id])
      .then(
        (row) => {
          if (!isWanted) return;
          if (row) {
            made = URL.createObjectURL(
              new Blob([new Uint8Array(row.bytes)], { type: 'image/jpeg' }),
            );
          }
          setAddress(made ?? 'missing');
        },
        () => setAddress('missing'),
      );
    return () => {
      isWanted = false;
      if (made) URL.revokeObjectURL(made);
    };
  }, [shop, id]);
  return address;
}
