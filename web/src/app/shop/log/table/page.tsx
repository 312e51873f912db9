import type { Metadata } from 'next';
import { TableView } from '@/views/log/table/table-view';

export const metadata: Metadata = { title: 'Log: import and export' };

export default function TablePage() {
  return <TableView />;
}
