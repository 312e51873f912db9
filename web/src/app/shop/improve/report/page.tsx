import type { Metadata } from 'next';
import { ReportView } from '@/views/improve/report/report-view';

export const metadata: Metadata = { title: 'Improve: report' };

export default function ReportPage() {
  return <ReportView />;
}
