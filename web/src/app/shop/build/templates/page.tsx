import type { Metadata } from 'next';
import { TemplatesView } from '@/views/build/templates/templates-view';

export const metadata: Metadata = { title: 'Build: templates' };

export default function TemplatesPage() {
  return <TemplatesView />;
}
