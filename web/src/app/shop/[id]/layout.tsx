import type { ReactNode } from 'react';
import { ShopFrame } from '@/views/frame/shop-frame';

interface Props {
  readonly children: ReactNode;
  readonly params: Promise<{ readonly id: string }>;
}

export default async function ShopLayout({ children, params }: Props) {
  const { id } = await params;
  return <ShopFrame id={id}>{children}</ShopFrame>;
}
