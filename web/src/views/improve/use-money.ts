'use client';

import { useDesign } from '@/model/use-design';
import { moneyText } from '@/words/improvement-words';

/** Writes amounts in the open shop's money. */
export function useMoney(): (amount: number) => string {
  const currency = useDesign((shop) => shop.shop.money.currency);
  return (amount) => moneyText(amount, currency);
}
