import type { Metadata } from 'next';
import { MakersView } from '@/views/build/makers/makers-view';

export const metadata: Metadata = { title: 'Build: shop-made parts' };

export default function ShopMadePage() {
  return <MakersView />;
}
