'use client';

import { PER, PRICES, type PriceLine, perUnit, priceOf } from '@frank-gauge/core/advice';
import type { Shop } from '@frank-gauge/core/design';
import { format } from 'date-fns';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Line, ShopQuantity } from '../parts/line';
import { PriceFile } from './price-file';
import { usePaidPrices } from './use-paid-prices';

type PriceId = keyof typeof PRICES & keyof Shop['advice']['prices'];

/** What a unit that prices are for is called: “Pipe, a foot”. */
const PER_WORDS: Readonly<Record<keyof typeof PER, string>> = {
  foot: 'a foot',
  meter: 'a meter',
  hp: 'one hp',
  kW: 'one kW',
  kWh: 'a kWh',
  piece: 'each',
  hour: 'an hour',
};

/** The shop's own prices; what nobody typed is an estimate, and says so. */
export function PriceBook() {
  const { advice, shop } = useDesign((design) => design);
  const system = useUnits();
  const { currency } = shop.money;
  const paid = usePaidPrices();
  return (
    <section aria-label="Prices" className="pt-5">
      <details>
        <summary className="min-h-11 cursor-pointer text-[18px] md:min-h-7">
          Prices, in {currency || 'your money'}
        </summary>
        <p className="text-[14px] text-quiet">
          What is gray is an invented estimate, or what you last paid by a change you logged: type
          what you pay. Duct, elbows, wyes, gates and hose are priced at 6 in. (150 mm), other sizes
          in proportion.
        </p>
        <PriceFile />
        {(Object.keys(PRICES) as PriceId[]).map((id) => {
          const line: PriceLine = PRICES[id];
          const per = perUnit(line.per, system);
          const { times } = PER[per];
          const own = advice.prices[id];
          const label = `${line.name}, ${PER_WORDS[per]}`;
          const last = paid.get(id);
          const estimate = (last?.price ?? priceOf(id, { prices: {} })) * times;
          const from = last ? `paid ${format(Date.parse(last.at), 'MMM d, yyyy')}` : 'estimated';
          return (
            <Line key={id} label={label} isWide>
              <ShopQuantity
                label={`Price: ${label}`}
                value={own === undefined ? null : own * times}
                kind="number"
                min={0}
                max={1e6}
                placeholder={`${estimate.toFixed(estimate < 10 ? 2 : 0)}, ${from}`}
                onChange={(price) =>
                  edit(
                    `price of ${line.name.toLowerCase()}`,
                    (draft) => {
                      draft.advice.prices[id] = price / times;
                    },
                    { merge: `price ${id}` },
                  )
                }
                onClear={() =>
                  edit(`price of ${line.name.toLowerCase()}`, (draft) => {
                    delete draft.advice.prices[id];
                  })
                }
              />
            </Line>
          );
        })}
      </details>
    </section>
  );
}
