'use client';

import { Choice } from '@/ui/choice';
import { useCollector } from '../../parts/edited-collector';
import { FieldLine, Line, SizeLine } from '../../parts/line';
import { useElevation } from '../../parts/use-elevation';

/** Bin and lid, and how the one comes free of the other. */
export function BinFields() {
  const { parts, editAssembly } = useCollector();
  const { elevation, warn } = useElevation();
  const { bin, lid, emptying } = parts.assembly;
  const { sizes } = elevation;
  return (
    <>
      <Line label="Shape">
        <Choice
          label="Shape, bin"
          value={bin.shape}
          options={[
            { value: 'round', label: 'round' },
            { value: 'square', label: 'flat-sided' },
          ]}
          onChange={(shape) =>
            editAssembly('shape of the bin', (own) => {
              own.bin.shape = shape;
            })
          }
        />
      </Line>
      <SizeLine
        label="Width"
        of="bin"
        value={bin.diameter}
        usual={sizes.bin.diameter}
        onChange={(value) =>
          editAssembly('width of the bin', (own) => {
            own.bin.diameter = value;
          })
        }
      />
      <SizeLine
        label="Height"
        of="bin"
        value={bin.height}
        usual={sizes.bin.height}
        warning={warn(
          'bin too tall',
          'bin short of the lid',
          'over the ceiling',
          'no room to lift',
        )}
        onChange={(value) =>
          editAssembly('height of the bin', (own) => {
            own.bin.height = value;
          })
        }
      />
      <FieldLine
        label="Caster height"
        value={bin.raised}
        kind="diameter"
        min={0}
        max={2}
        onChange={(value) =>
          editAssembly('casters', (own) => {
            own.bin.raised = value;
          })
        }
      />
      <SizeLine
        kind="mass"
        label="Empty weight"
        of="bin"
        value={bin.weight}
        usual={sizes.bin.weight}
        onChange={(value) =>
          editAssembly('weight of the bin', (own) => {
            own.bin.weight = value;
          })
        }
      />
      <Line label="Liner">
        <Choice
          label="Liner, in the bin"
          value={bin.isLined ? 'yes' : 'no'}
          options={[
            { value: 'no', label: 'no' },
            { value: 'yes', label: 'yes' },
          ]}
          onChange={(value) =>
            editAssembly('liner', (own) => {
              own.bin.isLined = value === 'yes';
            })
          }
        />
      </Line>
      <FieldLine
        label="Lid thickness"
        value={lid.thickness}
        kind="diameter"
        min={0}
        max={0.5}
        onChange={(value) =>
          editAssembly('lid', (own) => {
            own.lid.thickness = value;
          })
        }
      />
      <FieldLine
        label="Lid lip over the rim"
        value={lid.lip}
        kind="diameter"
        min={0}
        max={0.5}
        onChange={(value) =>
          editAssembly('lip of the lid', (own) => {
            own.lid.lip = value;
          })
        }
      />
      <Line label="Bin removal">
        <Choice
          label="Bin removal"
          value={emptying.kind}
          options={[
            { value: 'lower', label: 'the bin is lowered' },
            { value: 'lift', label: 'the parts on it are lifted off' },
          ]}
          onChange={(kind) =>
            editAssembly('bin removal', (own) => {
              own.emptying = kind === 'lower' ? { kind, travel: own.lid.lip + 0.015 } : { kind };
            })
          }
        />
      </Line>
      {emptying.kind === 'lower' && (
        <FieldLine
          label="Bin lowers by"
          value={emptying.travel}
          kind="diameter"
          min={0}
          max={1}
          warning={warn('bin stays caught')}
          onChange={(travel) =>
            editAssembly('travel of the lift', (own) => {
              if (own.emptying.kind === 'lower') own.emptying.travel = travel;
            })
          }
        />
      )}
    </>
  );
}
