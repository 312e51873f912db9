'use client';

import { formatShort } from '@frank-gauge/core/quantity';
import { type ComponentProps, type ReactNode, useId } from 'react';
import { QuantityField } from '@/fields/quantity-field';
import { useUnits } from '@/model/use-design';
import { tapeLength } from '@/words/tape-length';

/** A label with its field, side by side. */
export function Line({
  label,
  isWide = false,
  children,
}: {
  readonly label: string;
  /** Its fields need the whole width: the label stands above them. */
  readonly isWide?: boolean;
  readonly children: ReactNode;
}) {
  return (
    // What a field says of its value stands out to the left: at the right its column ends.
    <div
      data-line
      className={`grid ${isWide ? 'pt-1' : 'grid-cols-[116px_1fr]'} items-center gap-x-2 [&_[data-note]]:right-0 [&_[data-note]]:left-auto`}
    >
      <span className="text-[14px] text-quiet">{label}</span>
      {children}
    </div>
  );
}

type QuantityProps = Omit<ComponentProps<typeof QuantityField>, 'system'>;

/** A quantity in the shop's units. */
export function ShopQuantity(props: QuantityProps) {
  const system = useUnits();
  return <QuantityField {...props} system={system} />;
}

interface FieldLineProps extends Omit<QuantityProps, 'describedBy'> {
  /** Tells the field from others of the same label, to those who hear it: 'bin'. */
  readonly of?: string | undefined;
  /** What is wrong with the value as it stands with the others, in a sentence. */
  readonly warning?: string | null | undefined;
}

/** A quantity in the shop's units behind its label. */
export function FieldLine({ label, of, warning, ...field }: FieldLineProps) {
  const id = useId();
  return (
    <Line label={label}>
      <span className="block min-w-0">
        <ShopQuantity
          label={of ? `${label}, ${of}` : label}
          {...field}
          {...(warning && { describedBy: id })}
        />
        {warning && (
          <span id={id} className="block text-[14px] text-starved-text">
            ▼ {warning}
          </span>
        )}
      </span>
    </Line>
  );
}

interface SizeLineProps extends Omit<FieldLineProps, 'value' | 'kind' | 'onChange' | 'onClear'> {
  readonly kind?: 'diameter' | 'mass';
  /** Null: taken as such a part usually is. */
  readonly value: number | null;
  readonly usual: number;
  readonly onChange: (value: number | null) => void;
}

/** The least a part may measure, m. */
const LEAST_SIZE = 0.001;

/** A size or mass that need not be known: empty, it says what such a part usually has. */
export function SizeLine({ kind = 'diameter', usual, onChange, ...field }: SizeLineProps) {
  const system = useUnits();
  return (
    <FieldLine
      min={kind === 'mass' ? 0 : LEAST_SIZE}
      isMinExcluded={kind === 'mass'}
      max={kind === 'mass' ? 2000 : 20}
      {...field}
      kind={kind}
      placeholder={`about ${kind === 'mass' ? formatShort(usual, kind, system) : tapeLength(usual, system)}`}
      onChange={onChange}
      onClear={() => onChange(null)}
    />
  );
}

/** The least and the most a diameter may be, m. */
const DIAMETER = { min: 0.01, max: 2 } as const;

/** A true inside diameter behind its label. */
export function DiameterLine(props: Omit<FieldLineProps, 'kind'>) {
  return <FieldLine {...props} kind="diameter" {...DIAMETER} />;
}
