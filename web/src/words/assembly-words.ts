import type { Closing, EndWhat, JointEnd } from '@frank-gauge/core/assembly';
import type { AssemblyStep, SealedWith } from '@frank-gauge/core/build';
import type { UnitSystem } from '@frank-gauge/core/quantity';
import { closingWords } from './fit-words';
import { jointWords } from './joint-words';

const ENDS: Record<EndWhat, string> = {
  port: 'the port',
  hose: 'the hose',
  pipe: 'the pipe',
  gate: 'the gate',
  branch: 'the branch',
  separatorInlet: 'the separator’s inlet',
  separatorOutlet: 'the separator’s outlet',
  coupling: 'the first coupling',
  blowerInlet: 'the blower’s inlet',
  blowerOutlet: 'the blower’s outlet',
  transition: 'the second coupling',
  filter: 'the filter',
};

/** An end, at a joint whose run is known. */
const endWords = ({ what, of }: JointEnd): string =>
  what === 'branch' ? `${ENDS.branch} of ${of}` : ENDS[what];

/** Where parts are put together. */
export function placeWords({ place, ends }: AssemblyStep, system: UnitSystem): string {
  switch (place.kind) {
    case 'run': {
      const words = jointWords(place.at, system);
      return words.charAt(0).toUpperCase() + words.slice(1);
    }
    case 'port':
      return 'At the machine’s port';
    case 'chain':
      return ends ? `From ${endWords(ends.upstream)} to ${endWords(ends.downstream)}` : '';
    case 'bin':
      return 'The bin under its lid';
    case 'filter bin':
      return 'The bag or bin below the filter';
  }
}

const JOINTS = {
  crimp: 'the crimped end points with the air, into the next part',
  collar: 'the fitting’s collar goes into the pipe',
  socket: 'the pipe goes into the socket, as far as it will',
  bell: 'the pipe goes into the bell of the next, as far as it will',
  coupling: 'both ends go onto a coupling, until they meet',
} as const;

/** What goes inside what; '' where nothing does. */
export function insideWords({ ends, joint }: AssemblyStep): string {
  if (ends) {
    const [up, down] = [endWords(ends.upstream), endWords(ends.downstream)];
    switch (ends.fit.inside) {
      case 'upstream':
        return `${up} goes inside ${down}`;
      case 'downstream':
        return `${down} goes inside ${up}`;
      case 'neither':
        return ends.fit.closing.kind === 'coupler'
          ? `${up} and ${down} meet end to end`
          : up === down
            ? 'neither end goes into the other'
            : `neither ${up} nor ${down} goes into the other`;
    }
  }
  return joint ? JOINTS[joint] : '';
}

/** What closes it, for good or so that it opens again. */
export function sealWords(step: AssemblyStep, system: UnitSystem): string {
  const seams = step.hasSeams ? '; silicone or tape on the elbow’s own seams' : '';
  return `${closedBy(step.sealedWith, system)}${seams}`;
}

function closedBy(by: SealedWith, system: UnitSystem): string {
  switch (by.kind) {
    case 'fit':
      return byFit(by.closing, system);
    case 'screws and tape':
      return 'three screws, and foil tape around';
    case 'screw and tape':
      return 'a screw, and tape over the rim; no glue';
    case 'tape':
      return 'foil tape along it';
    case 'clamp':
      return 'a hose clamp';
    case 'gasket':
      return 'a gasket and latches';
  }
}

const byFit = (closing: Closing, system: UnitSystem): string =>
  closing.kind === 'nothing'
    ? 'tape over the rim; it holds as it is'
    : `${closingWords(closing, system)}${TAPED.has(closing.kind) ? ', its rims taped' : ''}`;

const TAPED: ReadonlySet<Closing['kind']> = new Set(['coupler', 'reducer', 'adapter']);
