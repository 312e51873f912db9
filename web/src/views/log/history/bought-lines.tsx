import { PRICED_DIAMETER, PRICES } from '@frank-gauge/core/advice';
import type { ShopEvent } from '@frank-gauge/core/journal';
import { Choice } from '@/ui/choice';
import { Line, ShopQuantity } from '../../parts/line';

type BoughtRecord = NonNullable<ShopEvent['bought']>;
type PriceId = BoughtRecord['item'];

/** What is bought as it is typed, SI. */
export interface Bought {
  readonly item: PriceId;
  readonly quantity: number | null;
  readonly diameter: number | null;
}

/** What is priced by its diameter. */
const SIZED = new Set<PriceId>(['pipe', 'elbow', 'wye', 'gate', 'ribbedHose', 'smoothHose']);

/** What is used up and never bought by the piece. */
const NOT_BOUGHT = new Set<PriceId>(['hour', 'heat']);
const ITEMS = (Object.keys(PRICES) as PriceId[]).filter((id) => !NOT_BOUGHT.has(id));

/** As it is logged; null: nobody said how much. */
export const boughtRecord = (bought: Bought | null): BoughtRecord | null =>
  bought?.quantity
    ? {
        item: bought.item,
        quantity: bought.quantity,
        diameter: SIZED.has(bought.item) ? (bought.diameter ?? PRICED_DIAMETER) : null,
      }
    : null;

/** What the cost bought, so that its price replaces the estimate. */
export function BoughtLines({
  bought,
  onChange,
}: {
  readonly bought: Bought | null;
  readonly onChange: (bought: Bought | null) => void;
}) {
  const change = (next: Partial<Bought>) => bought && onChange({ ...bought, ...next });
  const per = bought && PRICES[bought.item].per;
  return (
    <>
      <Line label="What it bought">
        <Choice
          label="What it bought"
          value={bought?.item ?? ''}
          options={[
            { value: '', label: 'several things, or nothing' },
            ...ITEMS.map((id) => ({ value: id, label: PRICES[id].name })),
          ]}
          onChange={(item) =>
            onChange(
              item === '' ? null : { item, quantity: null, diameter: bought?.diameter ?? null },
            )
          }
        />
      </Line>
      {bought && (
        <Line label={per === 'piece' ? 'How many' : 'How much'}>
          <ShopQuantity
            saves={false}
            label={per === 'piece' ? 'How many' : 'How much'}
            value={bought.quantity}
            kind={per === 'length' ? 'length' : per === 'power' ? 'power' : 'number'}
            min={0.001}
            max={1e5}
            placeholder="to learn its price"
            onChange={(quantity) => change({ quantity })}
            onClear={() => change({ quantity: null })}
          />
        </Line>
      )}
      {bought && SIZED.has(bought.item) && (
        <Line label="Diameter">
          <ShopQuantity
            saves={false}
            label="Diameter"
            value={bought.diameter ?? PRICED_DIAMETER}
            kind="diameter"
            min={0.01}
            max={2}
            onChange={(diameter) => change({ diameter })}
          />
        </Line>
      )}
    </>
  );
}
