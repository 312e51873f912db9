'use client';

import type { Assembly } from '@frank-gauge/core/design';
import { Choice } from '@/ui/choice';
import { useCollector } from '../../parts/edited-collector';
import { FieldLine, Line, SizeLine } from '../../parts/line';
import { useElevation } from '../../parts/use-elevation';

/** A separator's outer sizes, and where it hangs. */
export function SeparatorSizeFields() {
  const { parts, editAssembly } = useCollector();
  const { elevation, warn } = useElevation();
  const { separator } = parts.assembly;
  const usual = elevation.sizes.separator;
  const size = (
    key: 'diameter' | 'height' | 'weight',
    label: string,
    kind: 'diameter' | 'mass' = 'diameter',
  ) => (
    <SizeLine
      kind={kind}
      label={label}
      of="separator"
      value={separator[key]}
      usual={usual[key]}
      onChange={(value) =>
        editAssembly(`${label.toLowerCase()} of the separator`, (own) => {
          own.separator[key] = value;
        })
      }
    />
  );
  return (
    <>
      {size('diameter', 'Width')}
      {size('height', 'Height above the lid')}
      {size('weight', 'Weight', 'mass')}
      <FieldLine
        label="Hung, lid height"
        value={separator.hungAt}
        kind="diameter"
        min={0}
        max={20}
        placeholder="stands on the bin"
        warning={warn('bin too tall', 'bin short of the lid', 'nothing holds the separator')}
        onChange={(height) =>
          editAssembly('height of the separator', (own) => {
            own.separator.hungAt = height;
          })
        }
        onClear={() =>
          editAssembly('height of the separator', (own) => {
            own.separator.hungAt = null;
          })
        }
      />
    </>
  );
}

/** A blower's outer sizes, and the wheel that has to fit in. */
export function BlowerSizeFields() {
  const { parts, editAssembly, editBlower } = useCollector();
  const { elevation, warn } = useElevation();
  const { blower } = parts.assembly;
  const usual = elevation.sizes.blower;
  const size = (key: keyof Assembly['blower'], label: string, warning: string | null = null) => (
    <SizeLine
      kind={key === 'weight' ? 'mass' : 'diameter'}
      label={label}
      of="blower"
      value={blower[key]}
      usual={usual[key]}
      warning={warning}
      onChange={(value) =>
        editAssembly(`${label.toLowerCase()} of the blower`, (own) => {
          own.blower[key] = value;
        })
      }
    />
  );
  return (
    <>
      {size('housing', 'Housing width', warn('larger than the room', 'wheel in its housing'))}
      {size('width', 'Housing depth')}
      {size('motorLength', 'Motor length')}
      {size('weight', 'Weight with motor', warn('heavy blower'))}
      <FieldLine
        label="Impeller diameter"
        value={parts.blower.wheelDiameter}
        kind="diameter"
        min={0.02}
        max={3}
        warning={warn('wheel in its housing')}
        onChange={(diameter) =>
          editBlower('impeller diameter', (own) => {
            own.wheelDiameter = diameter;
          })
        }
      />
    </>
  );
}

/** A filter's outer sizes, where it hangs, and what is under it. */
export function FilterSizeFields() {
  const { parts, editAssembly } = useCollector();
  const { elevation, warn } = useElevation();
  const { filter, filterBin } = parts.assembly;
  const { sizes } = elevation;
  return (
    <>
      <SizeLine
        label="Width"
        of="filter"
        value={filter.diameter}
        usual={sizes.filter.diameter}
        onChange={(value) =>
          editAssembly('width of the filter', (own) => {
            own.filter.diameter = value;
          })
        }
      />
      <SizeLine
        label="Height"
        of="filter"
        value={filter.height}
        usual={sizes.filter.height}
        warning={warn('filter over the ceiling')}
        onChange={(value) =>
          editAssembly('height of the filter', (own) => {
            own.filter.height = value;
          })
        }
      />
      <FieldLine
        label="Hung height"
        of="filter"
        value={filter.hungAt}
        kind="diameter"
        min={0}
        max={20}
        placeholder="stands on its bin"
        onChange={(height) =>
          editAssembly('height of the filter', (own) => {
            own.filter.hungAt = height;
          })
        }
        onClear={() =>
          editAssembly('height of the filter', (own) => {
            own.filter.hungAt = null;
          })
        }
      />
      <Line label="Below the filter">
        <Choice
          label="Below the filter"
          value={filterBin.kind}
          options={[
            { value: 'bin', label: 'a bin' },
            { value: 'bag', label: 'a bag' },
            { value: 'none', label: 'nothing' },
          ]}
          onChange={(kind) =>
            editAssembly('filter’s bin', (own) => {
              own.filterBin.kind = kind;
            })
          }
        />
      </Line>
      {filterBin.kind !== 'none' && (
        <SizeLine
          label="Filter bin height"
          value={filterBin.height}
          usual={sizes.filterBin.height}
          warning={warn('filter bin too tall')}
          onChange={(value) =>
            editAssembly('height of the filter’s bin', (own) => {
              own.filterBin.height = value;
            })
          }
        />
      )}
    </>
  );
}
