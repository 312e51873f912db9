'use client';

import {
  believedEstimate,
  believeEstimates,
  type EstimateByReadings,
  type LeakReport,
} from '@frank-gauge/core/inference';
import { toast } from 'sonner';
import { useDesign, useDuctTree } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { estimateName, estimateOff } from '@/words/estimate-words';
import { percent } from '@/words/percent';
import { undoAction } from '../frame/undo-aloud';

/** Closer than this, what is believed and what the readings say are the same. */
const SAME = 0.005;

/** What the readings say of everything the model only estimates, to be believed one by one or all together. */
export function Estimates({
  report: { estimates, verdict },
  latest,
}: {
  readonly report: LeakReport;
  /** When the latest reading that counts was taken. */
  readonly latest: string;
}) {
  const { drops } = useDuctTree();
  const condition = useDesign((shop) => shop.condition);
  const nameOf = (node: string) => drops.find(({ id }) => id === node)?.name ?? node;
  if (estimates.length === 0) return null;
  const isBelieved = ({ of, factor, uncertainty }: EstimateByReadings) => {
    const own = believedEstimate({ condition }, of);
    return (
      own !== undefined &&
      Math.abs(own.factor / factor - 1) < SAME &&
      Math.abs(own.uncertainty - uncertainty) < SAME
    );
  };
  const left = verdict.isWrong ? [] : estimates.filter((each) => !isBelieved(each));
  const believe = (found: readonly EstimateByReadings[], name: string) => {
    edit(`believe ${name}`, (shop) => believeEstimates(shop, found, latest));
    toast(`Believed: ${name}`, { action: undoAction() });
  };
  return (
    <section aria-label="Estimates" className="pt-5">
      <div className="flex items-center gap-2">
        <h2 className="text-[18px]">Estimates</h2>
        {left.length > 1 && (
          <Button look="quiet" className="ml-auto" onClick={() => believe(left, 'all estimates')}>
            Believe all
          </Button>
        )}
      </div>
      <p className="text-[14px] text-quiet">
        {verdict.isWrong
          ? 'What the readings say of the model’s estimates, beside what is wrong. Find that first; then these can be believed.'
          : 'What the readings say of the model’s estimates. Once you believe them, predictions are closer and surer.'}
      </p>
      <ul className="border-rule border-t">
        {estimates.map((estimate) => {
          const name = estimateName(estimate.of, nameOf);
          return (
            <li key={name} className="flex items-center gap-2 border-rule border-b py-1">
              <span>
                {name}: <span className="font-semibold">{estimateOff(estimate.factor)}</span>
                <span className="text-quiet">
                  , ±&nbsp;{percent(estimate.uncertainty)} instead of ±&nbsp;
                  {percent(estimate.before)}
                </span>
              </span>
              {left.includes(estimate) ? (
                <Button
                  look="quiet"
                  className="ml-auto shrink-0"
                  aria-label={`Believe: ${name}`}
                  onClick={() => believe([estimate], name)}
                >
                  Believe
                </Button>
              ) : (
                !verdict.isWrong && <span className="ml-auto shrink-0 text-quiet">believed</span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
