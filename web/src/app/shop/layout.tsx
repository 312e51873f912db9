import type { ReactNode } from 'react';
import { ShopFrame } from '@/views/frame/shop-frame';

export default function ShopLayout({ children }: { readonly children: ReactNode }) {
  return <ShopFrame>{children}</ShopFrame>;
}
