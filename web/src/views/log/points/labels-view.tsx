'use client';

import { formatShort } from '@frank-gauge/core/quantity';
import { QRCodeSVG } from 'qrcode.react';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { isOwnAddress } from '@/ui/own-address';
import { readingAddress } from '../../parts/taking/scanned-place';
import { insideOf, type Place } from '../../parts/taking/use-places';

interface Props {
  readonly places: readonly Place[];
  readonly onDone: () => void;
}

/** A label for every test point, to print and stick there: what it is, how to hold the meter, a code to scan. */
export function LabelsView({ places, onDone }: Props) {
  const shopId = useDesign((shop) => shop.id);
  const shopName = useDesign(({ shop }) => shop.name);
  return (
    <section
      aria-label="Labels"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
      tabIndex={0}
      className="h-full overflow-y-auto p-3 print:overflow-visible"
    >
      <div className="print:hidden">
        <h1 className="text-[17px]">Labels</h1>
        <p className="max-w-prose pt-1 pb-2 text-quiet">
          Stick each one where the meter is held. Scanning it opens a new reading there, on a phone
          that has this shop.{' '}
          {isOwnAddress(window.location.hostname) &&
            `This page was opened as ${window.location.host}, an address no phone can reach: open it by this computer’s name or number in your network before you print.`}
        </p>
        <div className="flex gap-2 pb-3">
          <Button look="solid" onClick={() => window.print()}>
            Print
          </Button>
          <Button look="quiet" onClick={onDone}>
            Back to the test points
          </Button>
        </div>
      </div>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(270px,1fr))] gap-3 print:grid-cols-2">
        {places.map((place) => (
          <Label key={place.id} place={place} shopId={shopId} shopName={shopName} />
        ))}
      </ul>
    </section>
  );
}

interface LabelProps {
  readonly place: Place;
  readonly shopId: string;
  readonly shopName: string;
}

function Label({ place: { id, name, drop, point }, shopId, shopName }: LabelProps) {
  const system = useUnits();
  const inside = insideOf({ point, drop });
  return (
    <li className="flex break-inside-avoid gap-3 border border-ink p-3">
      <div className="h-fit shrink-0 bg-white p-1">
        <QRCodeSVG
          value={readingAddress(window.location.origin, shopId, id)}
          size={96}
          title={`QR code that opens a reading at ${name}`}
        />
      </div>
      <div className="min-w-0">
        <p className="font-name font-semibold text-[18px] leading-tight">{name}</p>
        <p className="text-[13px] text-quiet">{shopName}</p>
        {inside !== null && (
          <p className="pt-1">{formatShort(inside, 'diameter', system)} inside</p>
        )}
        {point.standoff !== null && (
          <p>Meter {formatShort(point.standoff, 'diameter', system)} from the mouth or tap</p>
        )}
        {point.holding.trim() !== '' && <p>{point.holding}</p>}
      </div>
    </li>
  );
}
