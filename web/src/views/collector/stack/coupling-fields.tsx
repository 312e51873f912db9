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
  const { parts, editStack } = useCollector();
  const { warn } = useElevation();
  const joint = parts.stack[which];
  return (
    <>
      <Line label={`${line}, made of`}>
        <Choice
          label={`What the ${line} coupling is made of`}
          value={joint.kind}
          options={[
            { value: 'hose', label: 'hose' },
            { value: 'rigid', label: 'pipe, rigid' },
          ]}
          onChange={(kind) =>
            editStack(`${line} coupling`, (own) => {
              own[which].kind = kind;
            })
          }
        />
      </Line>
      <FieldLine
        line="its length"
        label={`Length of the ${line} coupling`}
        value={joint.length}
        kind="diameter"
        min={0}
        max={30}
        warning={which === 'coupling' ? warn('coupling too short') : null}
        onChange={(length) =>
          editStack(`length of the ${line} coupling`, (own) => {
            own[which].length = length;
          })
        }
      />
    </>
  );
}
