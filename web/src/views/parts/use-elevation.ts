'use client';

import {
  assemblyConflicts,
  type Conflict,
  type ConflictKind,
  type Elevation,
  standAssembly,
} from '@frank-gauge/core/assembly';
import { useMemo } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { conflictMessage } from '@/words/conflict-words';
import { useCollector } from './edited-collector';

interface Standing {
  readonly elevation: Elevation;
  readonly conflicts: readonly Conflict[];
  /** The first of these conflicts that there is, in a sentence. */
  readonly warn: (...kinds: ConflictKind[]) => string | null;
}

/** How the collector that is looked at stands, and what does not fit. */
export function useElevation(): Standing {
  const room = useDesign((shop) => shop.room);
  const system = useUnits();
  const { parts } = useCollector();
  const { ceilingHeight } = room;
  return useMemo(() => {
    const elevation = standAssembly(parts, ceilingHeight);
    const conflicts = assemblyConflicts(parts, elevation);
    const warn = (...kinds: ConflictKind[]) => {
      const found = conflicts.find(({ kind }) => kinds.includes(kind));
      return found ? conflictMessage(found, system).title : null;
    };
    return { elevation, conflicts, warn };
  }, [parts, ceilingHeight, system]);
}
