import type { Metadata } from 'next';
import { UpkeepView } from '@/views/upkeep/upkeep-view';

export const metadata: Metadata = { title: 'Upkeep' };

export default function UpkeepPage() {
  return <UpkeepView />;
}
