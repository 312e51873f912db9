import type { Metadata } from 'next';
import { ShopsView } from '@/views/shops/shops-view';

export const metadata: Metadata = { title: 'Shops · Frank Gauge' };

export default function ShopsPage() {
  return <ShopsView />;
}
