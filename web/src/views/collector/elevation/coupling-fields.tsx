'use client';

import { Choice } from '@/ui/choice';
import { useCollector } from '../../parts/edited-collector';
import { FieldLine, Line } from '../../parts/line';
import { useElevation } from '../../parts/use-elevation';

interface JointProps {
  readonly which: 'coupling' | 'transition';
  readonly line: string;
}

/** One of the chain's two couplings. */
export function JointFields({ which, line }: JointProps) {
  const { parts, editAssembly } = useCollector();
  const { warn } = useElevation();
  const joint = parts.assembly[which];
  return (
    <>
      <Line label={`${line} coupling`}>
        <Choice
          label={`${line} coupling, kind`}
          value={joint.kind}
          options={[
            { value: 'hose', label: 'hose' },
            { value: 'rigid', label: 'rigid pipe' },
          ]}
          onChange={(kind) =>
            editAssembly(`${line.toLowerCase()} coupling`, (own) => {
              own[which].kind = kind;
            })
          }
        />
      </Line>
      <FieldLine
        label={`${line} coupling length`}
        value={joint.length}
        kind="diameter"
        min={0}
        max={30}
        warning={which === 'coupling' ? warn('coupling too short') : null}
        onChange={(length) =>
          editAssembly(`length of the ${line.toLowerCase()} coupling`, (own) => {
            own[which].length = length;
          })
        }
      />
    </>
  );
}
