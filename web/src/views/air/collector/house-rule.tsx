'use client';

import { countGateSets } from '@frank-gauge/core/analysis';
import type { Rules } from '@frank-gauge/core/design';
import { useDesign, useDuctTree } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { editCollector } from '../../parts/edit-collector';
import { Line, ShopQuantity } from '../../parts/line';

type Kind = Rules['gates']['kind'];

/** How many gates stand open at once in this shop: what its every set of gates is made of. */
export function HouseRule() {
  const rules = useDesign(({ shop }) => shop.rules);
  const tree = useDuctTree();
  const { gates } = rules;
  const count = countGateSets(tree, gates);
  const change = (rule: Rules['gates']) =>
    editCollector('gates open', (own) => {
      own.shop.rules.gates = rule;
    });
  const options: readonly { readonly value: Kind; readonly label: string }[] = [
    { value: 'one', label: 'one at a time' },
    { value: 'atMost', label: 'up to a number of gates' },
    ...(gates.kind === 'chosen'
      ? [{ value: 'chosen' as const, label: `${gates.sets.length} chosen sets` }]
      : []),
  ];
  return (
    <Line label="Gates open at once">
      <span className="grid grid-cols-[1fr_44px_auto] items-center gap-2">
        <Choice
          label="Gates open at once, rule"
          value={gates.kind}
          options={options}
          onChange={(kind) => {
            if (kind === 'one') change({ kind });
            if (kind === 'atMost') change({ kind, count: 2 });
          }}
        />
        {gates.kind === 'atMost' ? (
          <ShopQuantity
            label="Gates open at once, at most"
            value={gates.count}
            kind="number"
            min={1}
            max={20}
            isWhole
            onChange={(most) => change({ kind: 'atMost', count: most })}
          />
        ) : (
          <span />
        )}
        <span className="text-[14px] text-quiet">
          {count === 1 ? '1 set' : `${count.toLocaleString('en')} sets`}
        </span>
      </span>
    </Line>
  );
}
