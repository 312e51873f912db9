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
        text: part
          ? `${most} is the largest pressure drop: ${percent(share)} of the blower’s pressure.`
          : '',
      };
    }
    case 'slow drop':
      return {
        title: `${where} is below its minimum transport velocity.`,
        text: `The air in its drop moves at ${write(finding.numbers.velocity, 'velocity')}; chips need ${write(finding.numbers.wanted, 'velocity')}.`,
      };
    case 'settling main':
      return {
        title: `Chips will settle in ${where}.`,
        text: `Its air moves at ${write(finding.numbers.velocity, 'velocity')}; below ${write(finding.numbers.wanted, 'velocity')} chips settle.`,
      };
    case 'fast duct':
      return {
        title: `The air in ${where} is too fast.`,
        text: `It moves at ${write(finding.numbers.velocity, 'velocity')}; above ${write(finding.numbers.limit, 'velocity')} a duct is loud, wears and costs pressure.`,
      };
    case 'long hose':
      return {
        title: `${where} has a long hose.`,
        text: `Its ${write(finding.numbers.length, 'length')} cost ${write(finding.numbers.loss, 'pressure')}; ${write(finding.numbers.limit, 'length')} at most is usual.`,
      };
    case 'elbow at the inlet':
      return {
        title: 'An elbow is too close to the blower inlet.',
        text: `Only ${write(finding.numbers.straight, 'length')} of straight duct lies between. The impeller is fed unevenly, which costs about ${write(finding.numbers.loss, 'pressure')}.`,
      };
    case 'close elbows':
      return {
        title: `${where} has two elbows close together.`,
        text: `They are ${write(finding.numbers.straight, 'length')} apart; from ${write(finding.numbers.wanted, 'length')} on they do not affect each other.`,
      };
    case 'head-on tee':
      return {
        title: `${where} meets another duct head-on.`,
        text: `Each leg turns ${write(finding.numbers.angle, 'angle')} in the tee, which costs this one ${write(finding.numbers.loss, 'pressure')}.`,
      };
    case 'against the flow':
      return {
        title: `${where} joins against the flow.`,
        text: `Its angle is ${write(finding.numbers.angle, 'angle')}. It is computed as a ${write(finding.numbers.taken, 'angle')} tee; the true loss is higher.`,
      };
    case 'outside its range': {
      const { what, kind } = finding.clamped;
      return {
        title: `${where}: the ${what} is outside its table.`,
        text: `You gave ${write(finding.numbers.given, kind)}; the calculation uses ${write(finding.numbers.used, kind)}.`,
      };
    }
    case 'leak-prone':
      return {
        title: `${where} leaks noticeably.`,
        text: `It lets in ${write(finding.numbers.leak, 'flow')}, ${percent(finding.numbers.share)} of the blower’s airflow.`,
      };
    case 'pressure-side leak':
      return {
        title: 'Dust blows out between blower and filter.',
        text: `${write(finding.numbers.leak, 'flow')} escapes unfiltered. That is unhealthy at any size.`,
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
        text: `It is rated for ${write(finding.numbers.carries, 'current')} continuous; the motor draws ${write(finding.numbers.fullLoad, 'current')} at full load. A plug that runs hot is a fire: ask an electrician.`,
      };
    case 'plug of another voltage':
      return {
        title: 'The plug is for another voltage.',
        text: `It is made for ${write(finding.numbers.plug, 'voltage')}, the motor for ${write(finding.numbers.motor, 'voltage')}.`,
      };
    case 'hard start':
      return {
        title: 'The breaker may trip when it starts.',
        text: `A start takes about ${write(finding.numbers.start, 'current')} (estimate); this breaker passes at least ${write(finding.numbers.least, 'current')} for a moment. A breaker with a slower curve or a soft starter may help: an electrician decides.`,
      };
    case 'overloaded motor':
      return {
        title: 'The motor is overloaded.',
        text: `The shaft takes ${write(finding.numbers.power, 'power')} of a rated ${write(finding.numbers.rated, 'power')}, about ${write(finding.numbers.current, 'current')} of ${write(finding.numbers.plate, 'current')}.`,
      };
    case 'small filter':
      return {
        title: 'The filter is too small for this airflow.',
        text: `Its face velocity is ${write(finding.numbers.faceVelocity, 'faceVelocity')}; above ${write(finding.numbers.comfortable, 'faceVelocity')} this media clogs early.`,
      };
    case 'filter due':
      return {
        title: 'The filter is due for cleaning.',
        text: `Its pressure drop is ${write(finding.numbers.pressure, 'pressure')}; clean, it is ${write(finding.numbers.clean, 'pressure')}. That costs more than a tenth of the airflow, which cleaning restores.`,
      };
    case 'coarse filter':
      return {
        title: 'The filter passes the finest dust.',
        text: `Its grade may pass ${percent(finding.numbers.letBy)} of 0.3–1 µm dust back into the air you breathe.`,
      };
    case 'fast return':
      return {
        title: 'Air leaves the enclosure too fast.',
        text: `It passes the return filter at ${write(finding.numbers.faceVelocity, 'velocity')}; ${write(finding.numbers.limit, 'velocity')} at most is usual.`,
      };
    case 'air leaves the building': {
      const { flow, heat } = finding.numbers;
      const warmth =
        heat === null
          ? ''
          : ` It takes ${write(Number(heat.toPrecision(2)), 'heat')} of heat along while the collector runs.`;
      return {
        title: 'The exhaust air leaves the building.',
        text: `${write(flow, 'flow')} of makeup air has to come in somewhere.${warmth}`,
      };
    }
    case 'small way back':
      return {
        title: 'The shop is at lower pressure than the place its air goes to.',
        text: `By ${write(finding.numbers.depression, 'pressure')}; above ${write(finding.numbers.limit, 'pressure')} a heater or stove in the shop may draw its flue gas back: carbon monoxide.`,
      };
    case 'choked blower':
      return {
        title: 'The blower is choked.',
        text: `It moves ${write(finding.numbers.flow, 'flow')}; it works best at about ${write(finding.numbers.best, 'flow')}. The ducts limit the airflow, not the blower.`,
      };
    case 'run-out blower':
      return {
        title: 'The blower works at the end of its curve.',
        text: `It moves ${write(finding.numbers.flow, 'flow')}; it works best at about ${write(finding.numbers.best, 'flow')}. The motor load is highest here.`,
      };
    case 'several operating points':
      return {
        title: 'This blower has two possible operating points.',
        text: `It runs at ${write(finding.numbers.flow, 'flow')}; after being choked for a moment it may stay at ${write(finding.numbers.other, 'flow')}, in the stalled part of its curve.`,
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
