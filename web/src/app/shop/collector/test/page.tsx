import type { Metadata } from 'next';
import { FieldTestView } from '@/views/collector/field-test/field-test-view';

export const metadata: Metadata = { title: 'Collector: field test' };

export default function FieldTestPage() {
  return <FieldTestView />;
}
