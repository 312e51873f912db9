'use client';

import { Choice } from '@/ui/choice';
import { useCollector } from '../../parts/edited-collector';
import { FieldLine, Line, SizeLine } from '../../parts/line';
import { useElevation } from '../../parts/use-elevation';

/** Bin and lid, and how the one comes free of the other. */
export function BinFields() {
  const { parts, editStack } = useCollector();
  const { elevation, warn } = useElevation();
  const { bin, lid, emptying } = parts.stack;
  const { sizes } = elevation;
  return (
    <>
      <Line label="shape">
        <Choice
          label="Shape of the bin"
          value={bin.shape}
          options={[
            { value: 'round', label: 'round' },
            { value: 'square', label: 'with flat sides' },
          ]}
          onChange={(shape) =>
            editStack('shape of the bin', (own) => {
              own.bin.shape = shape;
            })
          }
        />
      </Line>
      <SizeLine
        line="across"
        label="Width of the bin"
        value={bin.diameter}
        usual={sizes.bin.diameter}
        onChange={(value) =>
          editStack('width of the bin', (own) => {
            own.bin.diameter = value;
          })
        }
      />
      <SizeLine
        line="height"
        label="Height of the bin"
        value={bin.height}
        usual={sizes.bin.height}
        warning={warn(
          'bin too tall',
          'bin short of the lid',
          'over the ceiling',
          'no room to lift',
        )}
        onChange={(value) =>
          editStack('height of the bin', (own) => {
            own.bin.height = value;
          })
        }
      />
      <FieldLine
        line="castors under it"
        label="Height of the castors"
        value={bin.raised}
        kind="diameter"
        min={0}
        max={2}
        onChange={(value) =>
          editStack('castors', (own) => {
            own.bin.raised = value;
          })
        }
      />
      <SizeLine
        kind="mass"
        line="weighs, empty"
        label="Weight of the empty bin"
        value={bin.weight}
        usual={sizes.bin.weight}
        onChange={(value) =>
          editStack('weight of the bin', (own) => {
            own.bin.weight = value;
          })
        }
      />
      <Line label="a liner in it">
        <Choice
          label="Whether the bin has a liner"
          value={bin.isLined ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'no' },
            { value: 'yes', label: 'yes' },
          ]}
          onChange={(value) =>
            editStack('liner', (own) => {
              own.bin.isLined = value === 'yes';
            })
          }
        />
      </Line>
      <FieldLine
        line="lid, thick"
        label="Thickness of the lid"
        value={lid.thickness}
        kind="diameter"
        min={0}
        max={0.5}
        onChange={(value) =>
          editStack('lid', (own) => {
            own.lid.thickness = value;
          })
        }
      />
      <FieldLine
        line="over the rim by"
        label="How far the lid reaches over the rim"
        value={lid.lip}
        kind="diameter"
        min={0}
        max={0.5}
        onChange={(value) =>
          editStack('lip of the lid', (own) => {
            own.lid.lip = value;
          })
        }
      />
      <Line label="comes free">
        <Choice
          label="How the bin comes free"
          value={emptying.kind}
          options={[
            { value: 'lower', label: 'it is lowered: wedge, lever or cam' },
            { value: 'lift', label: 'what stands on it is lifted off' },
          ]}
          onChange={(kind) =>
            editStack('how the bin comes free', (own) => {
              own.emptying = kind === 'lower' ? { kind, travel: own.lid.lip + 0.015 } : { kind };
            })
          }
        />
      </Line>
      {emptying.kind === 'lower' && (
        <FieldLine
          line="lowered by"
          label="How far the bin is lowered"
          value={emptying.travel}
          kind="diameter"
          min={0}
          max={1}
          warning={warn('bin stays caught')}
          onChange={(travel) =>
            editStack('travel of the lift', (own) => {
              if (own.emptying.kind === 'lower') own.emptying.travel = travel;
            })
          }
        />
      )}
    </>
  );
}
