'use client';

import { sizesOf } from '@frank-gauge/core/assembly';
import type { Assembly } from '@frank-gauge/core/design';
import { Choice } from '@/ui/choice';
import { MOUNTS } from '@/words/mount-words';
import { useCollector } from '../../parts/edited-collector';
import { FieldLine, Line } from '../../parts/line';
import { useElevation } from '../../parts/use-elevation';

type Mount = Assembly['mount'];

/** A mount of another kind as it starts: at the height the blower has now. */
function startOf(kind: Mount['kind'], height: number): Mount {
  switch (kind) {
    case 'wall':
    case 'nextRoom':
      return { kind, height };
    case 'cart':
      return { kind, height: 0.15 };
    case 'onSeparator':
    case 'attic':
      return { kind };
  }
}

const KINDS = Object.keys(MOUNTS) as Mount['kind'][];

/** What carries the blower, and how high. */
export function MountFields() {
  const { parts, editAssembly } = useCollector();
  const { elevation, warn } = useElevation();
  const { mount } = parts.assembly;
  const isHigh = mount.kind === 'wall' || mount.kind === 'nextRoom';
  return (
    <>
      <Line label="Blower mount">
        <Choice
          label="Blower mount"
          value={mount.kind}
          options={KINDS.map((value) => ({ value, label: MOUNTS[value] }))}
          onChange={(kind) =>
            editAssembly('blower mount', (own) => {
              const middle =
                elevation.blowerZ + sizesOf({ ...parts, assembly: own }).blower.width / 2;
              own.mount = startOf(kind, Math.round(middle * 100) / 100);
            })
          }
        />
      </Line>
      {warn('nothing to stand on') && (
        <p className="text-[14px] text-starved-text">▼ {warn('nothing to stand on')}</p>
      )}
      {'height' in mount && (
        <FieldLine
          label={isHigh ? 'Shaft height' : 'Deck height'}
          value={mount.height}
          kind="diameter"
          min={0}
          max={20}
          warning={isHigh ? warn('over the ceiling') : null}
          onChange={(height) =>
            editAssembly('height of the blower', (own) => {
              if ('height' in own.mount) own.mount.height = height;
            })
          }
        />
      )}
    </>
  );
}

/** The bracket a blower hangs on the wall by. */
export function BracketFields() {
  const { parts, editAssembly } = useCollector();
  const { warn } = useElevation();
  const { cleat } = parts.assembly;
  const measure = (
    key: Exclude<keyof Assembly['cleat'], 'screws'>,
    label: string,
    max: number,
    warning: string | null = null,
  ) => (
    <FieldLine
      label={label}
      value={cleat[key]}
      kind="diameter"
      min={0}
      isMinExcluded
      max={max}
      warning={warning}
      onChange={(value) =>
        editAssembly(label.toLowerCase(), (own) => {
          own.cleat[key] = value;
        })
      }
    />
  );
  return (
    <>
      {measure('studSpacing', 'Stud spacing', 3)}
      {measure('length', 'Cleat length', 10, warn('cleat too short'))}
      {measure('rise', 'Screw row spacing', 3)}
      <FieldLine
        label="Screws"
        of="number"
        value={cleat.screws}
        kind="number"
        isWhole
        min={1}
        max={40}
        warning={warn('screws draw out', 'screws shear')}
        onChange={(screws) =>
          editAssembly('screws', (own) => {
            own.cleat.screws = screws;
          })
        }
      />
      {measure('screwDiameter', 'Screw diameter', 0.05)}
      {measure('screwDepth', 'Thread in the stud', 0.3)}
    </>
  );
}
