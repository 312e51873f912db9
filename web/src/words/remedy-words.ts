import type { Remedy } from '@frank-gauge/core/analysis';
import { formatShort, type QuantityKind, type UnitSystem } from '@frank-gauge/core/quantity';

/** What the shop calls its drops and runs. */
export interface Names {
  readonly drop: (id: string) => string;
  readonly run: (id: string) => string;
}

/** What to do, in the second person, with what it is worth where that is known. */
export function remedyWords(remedy: Remedy, system: UnitSystem, names: Names): string {
  const write = (value: number, kind: QuantityKind) => formatShort(value, kind, system);
  switch (remedy.kind) {
    case 'shorter hose':
      return remedy.gain > 0
        ? `Cut its hose to ${write(remedy.length, 'length')}: about +${write(remedy.gain, 'flow')}, no cost.`
        : '';
    case 'narrower':
      return `In ${write(remedy.diameter, 'diameter')} it would carry, at some flow.`;
    case 'wider':
      return `Run ${names.run(remedy.run)} in ${write(remedy.diameter, 'diameter')}.`;
    case 'straight ahead of the inlet':
      return `Give it ${write(remedy.length, 'length')} of straight duct, five diameters.`;
    case 'larger filter':
      return `Give it ${write(remedy.area, 'area')}.`;
    case 'larger circuit':
      return `Ask a licensed electrician about a circuit for ${write(remedy.rating, 'current')}; local code decides.`;
    case 'larger way back':
      return `Give the air ${write(remedy.area, 'area')} to come back by, and fit an alarm.`;
    case 'open another gate':
      return 'Open another gate as well, or run a size narrower.';
    case 'shut a gate':
      return 'Shut a gate, or fit a smaller wheel.';
    case 'clean the filter':
      return 'Clean it from the clean side, with a respirator on and the collector drawing.';
    case 'seal':
      return 'Seal it: tape flat work, a gasket where it has to come apart.';
    case 'turn with the flow':
      return 'Turn the wye so that its branch points with the air.';
    case 'sweep both legs':
      return 'Use a Y with legs at 30° or 45°, or bring one duct in as a wye branch.';
    case 'finer filter':
      return 'Fit media of MERV 14 or more, or send the air elsewhere.';
    case 'let air in':
      return 'Give it a way in. In a tight building it can pull flue gas back from a heater or stove: carbon monoxide. Fit an alarm.';
  }
}
