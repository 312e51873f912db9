'use client';

import { PRICES, type PriceLine, priceOf } from '@frank-gauge/core/advice';
import type { Shop } from '@frank-gauge/core/design';
import { toSI } from '@frank-gauge/core/quantity';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Line, ShopQuantity } from '../parts/line';

type PriceId = keyof typeof PRICES & keyof Shop['advice']['prices'];

/** What a price is for one of, in the shop's units, and how many of the SI unit that is. */
function perOf(per: PriceLine['per'], system: 'us' | 'metric'): { name: string; times: number } {
  switch (per) {
    case 'length':
      return system === 'us'
        ? { name: 'a foot', times: toSI(1, 'ft') }
        : { name: 'a meter', times: 1 };
    case 'power':
      return system === 'us'
        ? { name: 'one hp', times: toSI(1, 'hp') }
        : { name: 'one kW', times: 1000 };
    case 'hour':
      return { name: 'an hour', times: 1 };
    case 'piece':
      return { name: 'each', times: 1 };
  }
}

/** The shop's own prices; what nobody typed is an estimate, and says so. */
export function PriceBook() {
  const { advice, shop } = useDesign((design) => design);
  const system = useUnits();
  const { currency } = shop.money;
  return (
    <section aria-label="Prices" className="pt-5">
      <details>
        <summary className="min-h-11 cursor-pointer text-[18px] md:min-h-7">
          Prices, in {currency || 'your money'}
        </summary>
        <p className="text-[14px] text-quiet">
          What is gray is an invented estimate: type what you pay. Duct, elbows, wyes, gates and
          hose are priced at 6 in. (150 mm), other sizes in proportion.
        </p>
        {(Object.keys(PRICES) as PriceId[]).map((id) => {
          const line: PriceLine = PRICES[id];
          const { name, times } = perOf(line.per, system);
          const own = advice.prices[id];
          const label = `${line.name}, ${name}`;
          const estimate = priceOf(id, { prices: {} }) * times;
          return (
            <Line key={id} label={label} isWide>
              <ShopQuantity
                label={`Price: ${label}`}
                value={own === undefined ? null : own * times}
                kind="number"
                min={0}
                max={1e6}
                placeholder={`${estimate.toFixed(estimate < 10 ? 2 : 0)}, estimated`}
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
