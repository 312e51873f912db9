'use client';

import { useDesign } from '@/model/use-design';
import { chooseTemplate, type TemplateChoices, useChoices } from '@/storage/choices';

const NOTHING: TemplateChoices = {};

/** What is typed under Templates for the open shop, and a way to change it: kept on this device. */
export function useTemplate() {
  const shop = useDesign(({ id }) => id);
  const choices = useChoices(({ templates }) => templates[shop] ?? NOTHING);
  return { choices, choose: (change: TemplateChoices) => chooseTemplate(shop, change) };
}
