import type { CollectorPart, Finding, Severity } from '@frank-gauge/core/analysis';
import { formatShort, type QuantityKind, type UnitSystem } from '@frank-gauge/core/quantity';
import { partWord } from './part-words';
import { type Names, remedyWords } from './remedy-words';

export interface Message {
  readonly title: string;
  readonly text: string;
  readonly severity: Severity;
}

const PARTS: Record<CollectorPart, string> = {
  inlet: 'The inlet',
  blower: 'The blower',
  motor: 'The motor',
  filter: 'The filter',
  exhaust: 'The way out',
};

/** A finding in sentences: what, why, and what to do. */
export function findingMessage(finding: Finding, system: UnitSystem, names: Names): Message {
  const { title, text } = words(finding, system, names);
  const remedy = finding.remedy ? remedyWords(finding.remedy, system, names) : '';
  return { title, text: [text, remedy].filter(Boolean).join(' '), severity: finding.severity };
}

const percent = (share: number) => `${Math.round(100 * share)} %`;

function words(
  finding: Finding,
  system: UnitSystem,
  names: Names,
): { readonly title: string; readonly text: string } {
  const write = (value: number, kind: QuantityKind) => formatShort(value, kind, system);
  const where = whereOf(finding, names);
  switch (finding.kind) {
    case 'starved': {
      const { short, share } = finding.numbers;
      const { largest } = finding;
      const part = largest && partWord(largest.kind, largest.name);
      const isInCollector =
        largest?.run === '' || largest?.kind === 'separator' || largest?.kind === 'inlet';
      const most = isInCollector
        ? `The ${part?.toLowerCase()}`
        : `${part} in ${names.run(largest?.run ?? '')}`;
      return {
        title: `${where} is ${write(short, 'flow')} short.`,
        text: part ? `${most} takes most: ${percent(share)} of what the blower makes.` : '',
      };
    }
    case 'slow drop':
      return {
        title: `${where} carries slowly.`,
        text: `Its drop moves ${write(finding.numbers.velocity, 'velocity')}; chips want ${write(finding.numbers.wanted, 'velocity')}.`,
      };
    case 'settling main':
      return {
        title: `${where} will settle.`,
        text: `It moves ${write(finding.numbers.velocity, 'velocity')}; below ${write(finding.numbers.wanted, 'velocity')} chips lie down.`,
      };
    case 'fast duct':
      return {
        title: `${where} is fast.`,
        text: `It moves ${write(finding.numbers.velocity, 'velocity')}; above ${write(finding.numbers.limit, 'velocity')} duct is loud, wears, and takes pressure.`,
      };
    case 'long hose':
      return {
        title: `${where} hangs on a long hose.`,
        text: `${write(finding.numbers.length, 'length')} of it takes ${write(finding.numbers.loss, 'pressure')}; up to ${write(finding.numbers.limit, 'length')} is usual.`,
      };
    case 'elbow at the inlet':
      return {
        title: 'An elbow stands at the blower’s inlet.',
        text: `${write(finding.numbers.straight, 'length')} of straight duct lie between; the wheel is fed unevenly, as if ${write(finding.numbers.loss, 'pressure')} were lost.`,
      };
    case 'close elbows':
      return {
        title: `${where}: two elbows stand close.`,
        text: `${write(finding.numbers.straight, 'length')} apart; from ${write(finding.numbers.wanted, 'length')} on they leave each other alone.`,
      };
    case 'head-on tee':
      return {
        title: `${where} meets another duct head-on.`,
        text: `Each leg turns ${write(finding.numbers.angle, 'angle')} in the tee, which costs this one ${write(finding.numbers.loss, 'pressure')}.`,
      };
    case 'against the flow':
      return {
        title: `${where} joins against the flow.`,
        text: `At ${write(finding.numbers.angle, 'angle')} it is reckoned as a tee, ${write(finding.numbers.taken, 'angle')}, and is worse.`,
      };
    case 'outside its range': {
      const { what, kind } = finding.clamped;
      return {
        title: `${where}: the ${what} lies outside its table.`,
        text: `${write(finding.numbers.given, kind)} was given; ${write(finding.numbers.used, kind)} is reckoned with.`,
      };
    }
    case 'leak-prone':
      return {
        title: `${where} leaks a good deal.`,
        text: `${write(finding.numbers.leak, 'flow')} come in along it, ${percent(finding.numbers.share)} of what the blower moves.`,
      };
    case 'pressure-side leak':
      return {
        title: 'Dust blows out between blower and filter.',
        text: `${write(finding.numbers.leak, 'flow')} pass its openings unfiltered; that is unhealthy at any size.`,
      };
    case 'small circuit':
      return {
        title: `The ${write(finding.numbers.breaker, 'current')} circuit is small for this motor.`,
        text:
          finding.numbers.largest === null
            ? `The motor draws ${write(finding.numbers.fullLoad, 'current')} at full load, more than the circuit is rated for.`
            : `The motor draws ${write(finding.numbers.fullLoad, 'current')} at full load. Its conductors must carry 125 % of that, ${write(finding.numbers.wanted, 'current')}, and an ordinary circuit’s carry what its breaker is rated for. With such conductors the breaker may be rated up to ${write(finding.numbers.largest, 'current')}.`,
      };
    case 'large breaker':
      return {
        title: `The ${write(finding.numbers.breaker, 'current')} breaker is large for this motor.`,
        text: `The motor draws ${write(finding.numbers.fullLoad, 'current')} at full load; the code allows an inverse-time breaker of up to ${write(finding.numbers.largest, 'current')}. An electrician decides.`,
      };
    case 'small plug':
      return {
        title: 'The plug is small for this motor.',
        text: `It carries ${write(finding.numbers.carries, 'current')} for hours; the motor draws ${write(finding.numbers.fullLoad, 'current')} at full load. A plug that runs hot is a fire: ask an electrician.`,
      };
    case 'plug of another voltage':
      return {
        title: 'The plug is for another voltage.',
        text: `It is made for ${write(finding.numbers.plug, 'voltage')}, the motor for ${write(finding.numbers.motor, 'voltage')}.`,
      };
    case 'hard start':
      return {
        title: 'The breaker may trip when it starts.',
        text: `A start takes about ${write(finding.numbers.start, 'current')}, an estimate; this breaker lets ${write(finding.numbers.least, 'current')} pass for a moment. A slower breaker for motors, or a soft start: an electrician decides.`,
      };
    case 'overloaded motor':
      return {
        title: 'The motor is asked for more than it is rated for.',
        text: `${write(finding.numbers.power, 'power')} on the shaft against ${write(finding.numbers.rated, 'power')}, about ${write(finding.numbers.current, 'current')} against ${write(finding.numbers.plate, 'current')}.`,
      };
    case 'small filter':
      return {
        title: 'The filter is small for this flow.',
        text: `Air meets it at ${write(finding.numbers.faceVelocity, 'faceVelocity')}; above ${write(finding.numbers.comfortable, 'faceVelocity')} this media clogs early.`,
      };
    case 'filter due':
      return {
        title: 'The filter is due for cleaning.',
        text: `It takes ${write(finding.numbers.pressure, 'pressure')}, and ${write(finding.numbers.clean, 'pressure')} when it is clean. That costs more than a tenth of the air, and cleaning brings it back.`,
      };
    case 'coarse filter':
      return {
        title: 'The filter lets the finest dust by.',
        text: `Its grade may let ${percent(finding.numbers.letBy)} of 0.3–1 µm through, back into the air you breathe.`,
      };
    case 'fast return':
      return {
        title: 'Air leaves the enclosure too fast.',
        text: `${write(finding.numbers.faceVelocity, 'velocity')} through the return filter; ${write(finding.numbers.limit, 'velocity')} is the usual most.`,
      };
    case 'air leaves the building': {
      const { flow, heat } = finding.numbers;
      const warmth =
        heat === null
          ? ''
          : ` With it go ${write(Number(heat.toPrecision(2)), 'heat')} of heat while it runs.`;
      return {
        title: 'Air leaves the building.',
        text: `${write(flow, 'flow')} have to come back in somewhere.${warmth}`,
      };
    }
    case 'small way back':
      return {
        title: 'The shop is drawn below the room its air goes to.',
        text: `By ${write(finding.numbers.depression, 'pressure')}; above ${write(finding.numbers.limit, 'pressure')} a heater or stove in the shop may draw its flue gas back: carbon monoxide.`,
      };
    case 'choked blower':
      return {
        title: 'The blower is choked.',
        text: `It moves ${write(finding.numbers.flow, 'flow')}; it does most work at about ${write(finding.numbers.best, 'flow')}. The ducts, not the blower, are what holds the air back.`,
      };
    case 'run-out blower':
      return {
        title: 'The blower works at the end of its curve.',
        text: `It moves ${write(finding.numbers.flow, 'flow')}; it does most work at about ${write(finding.numbers.best, 'flow')}. Its motor is loaded most here.`,
      };
    case 'several operating points':
      return {
        title: 'This blower can settle at two flows.',
        text: `It runs at ${write(finding.numbers.flow, 'flow')}; choked for a moment it may stay at ${write(finding.numbers.other, 'flow')}, where its curve has stalled.`,
      };
  }
}

function whereOf({ where }: Finding, names: Names): string {
  switch (where.kind) {
    case 'drop':
      return names.drop(where.drop);
    case 'run':
      return names.run(where.run);
    case 'collector':
      return PARTS[where.part];
  }
}
