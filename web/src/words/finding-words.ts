import { type Finding, formatShort, type QuantityKind, type UnitSystem } from '@frank-gauge/core';
import { partWord } from './part-words';

export interface Told {
  readonly title: string;
  readonly text: string;
  readonly isSerious: boolean;
}

/** A finding in sentences: what, why, and what to do. */
export function tell(
  finding: Finding,
  system: UnitSystem,
  dropName: string,
  runName: (run: string) => string,
): Told {
  const write = (value: number, kind: QuantityKind) => formatShort(value, kind, system);
  switch (finding.kind) {
    case 'starved': {
      const { short, largest, shorterHose } = finding;
      const where = largest
        ? `${largest.rung.run === '' || largest.rung.kind === 'separator' ? `The ${partWord(largest.rung.kind, largest.rung.name).toLowerCase()}` : `${partWord(largest.rung.kind, largest.rung.name)} in ${runName(largest.rung.run)}`} takes most: ${Math.round(largest.share * 100)} % of what the blower makes.`
        : '';
      const remedy =
        shorterHose && shorterHose.gain > 0
          ? ` Cut its hose to ${write(shorterHose.length, 'length')}: about +${write(shorterHose.gain, 'flow')}, no cost.`
          : '';
      return {
        title: `${dropName} is ${write(short, 'flow')} short.`,
        text: `${where}${remedy}`,
        isSerious: true,
      };
    }
    case 'slow drop':
      return {
        title: `${dropName} carries slowly.`,
        text: `Its drop moves ${write(finding.velocity, 'velocity')}; chips want ${write(finding.wanted, 'velocity')}. A narrower drop carries better, at some flow.`,
        isSerious: false,
      };
    case 'settling main':
      return {
        title: `${runName(finding.run)} will settle.`,
        text: `It moves ${write(finding.velocity, 'velocity')}; below ${write(finding.wanted, 'velocity')} chips lie down. Open another gate as well, or run it a size narrower.`,
        isSerious: false,
      };
    case 'small circuit':
      return {
        title: `The ${write(finding.breaker, 'current')} circuit is small for this motor.`,
        text: `Conductors carry 125 % of full-load current: ${write(finding.wanted, 'current')}. Ask a licensed electrician; local code decides.`,
        isSerious: true,
      };
    case 'overloaded motor':
      return {
        title: 'The motor is asked for more than it is rated for.',
        text: `${write(finding.power, 'power')} on the shaft against ${write(finding.rated, 'power')}. Shut a gate, or fit a smaller wheel.`,
        isSerious: true,
      };
    case 'small filter':
      return {
        title: 'The filter is small for this flow.',
        text: `Air meets it at ${write(finding.faceVelocity, 'faceVelocity')}; above ${write(finding.comfortable, 'faceVelocity')} cartridges clog early.`,
        isSerious: false,
      };
  }
}
